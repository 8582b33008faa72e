package org.umberloom.app.picture;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PictureMapper {
    /** Bytes by themselves. */
    record Bytes(byte[] bytes) {}

    @Select("select content as bytes from picture_content where hash = #{hash}")
    Optional<Bytes> content(String hash);

    @Select("select tones as bytes from picture_content where hash = #{hash}")
    Optional<Bytes> tones(String hash);

    @Insert(
            "insert into picture_content (hash, media_type, content, tones) values (#{hash}, #{mediaType}, #{content}, #{tones}) "
                    + "on duplicate key update kept_at = current_timestamp(3)")
    void keep(String hash, String mediaType, byte[] content, byte[] tones);

    @Insert(
            "insert ignore into picture_use (theme_id, hash) select #{theme}, hash from picture_content where hash = #{hash}")
    void use(long theme, String hash);

    @Delete("delete from picture_use where theme_id = #{theme}")
    void release(long theme);

    /** What came within the last day may be about to be used. */
    @Delete("delete from picture_content where kept_at < current_timestamp(3) - interval 1 day and hash not in "
            + "(select hash from picture_use)")
    void dropUnused();
}
