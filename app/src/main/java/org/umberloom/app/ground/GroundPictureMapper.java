package org.umberloom.app.ground;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface GroundPictureMapper {
    /** A picture without its content. */
    record Row(String name, String mediaType, String license, long bytes) {
    }

    @Select("select name, media_type, license, length(content) as bytes from ground_picture where theme_id = #{theme} order by name")
    List<Row> all(long theme);

    @Select("select name, media_type, license, content from ground_picture where theme_id = #{theme} and name = #{name}")
    Optional<GroundPicture> find(long theme, String name);

    @Select("select tones from ground_picture where theme_id = #{theme} and name = #{name}")
    Tones tones(long theme, String name);

    /** The bytes of a picture's tones. */
    record Tones(byte[] tones) {
    }

    @Insert("replace into ground_picture (theme_id, name, media_type, license, content, tones) "
            + "values (#{theme}, #{name}, #{mediaType}, #{license}, #{content}, #{tones})")
    void put(long theme, String name, String mediaType, String license, byte[] content, byte[] tones);

    @Delete("delete from ground_picture where theme_id = #{theme} and name = #{name}")
    int remove(long theme, String name);
}
