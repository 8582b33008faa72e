package org.umberloom.app.asset;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OwnFontMapper {
    /** A file without its content. */
    record Row(
            String file,
            String family,
            String generic,
            String style,
            String weights,
            String stretch,
            boolean travels,
            String rights,
            String license) {}

    /** Bytes by themselves. */
    record Bytes(byte[] bytes) {}

    /** Another one whenever files came, went or came back. */
    @Select("select concat(count(*), '/', count(removed_at), '/', coalesce(max(brought_at), ''), '/', "
            + "coalesce(max(removed_at), '')) from own_font")
    String stamp();

    @Select(
            "select file, family, generic, style, weights, stretch, travels, rights, license from own_font "
                    + "where removed_at is null order by family, style = 'italic', stretch <> '', abs(weights - 400), weights, file")
    List<Row> all();

    @Select("select content as bytes from own_font where file = #{file}")
    Optional<Bytes> content(String file);

    @Insert("insert into own_font (file, family, generic, style, weights, stretch, travels, rights, license, content, "
            + "brought_by) values (#{row.file}, #{row.family}, #{row.generic}, #{row.style}, #{row.weights}, "
            + "#{row.stretch}, #{row.travels}, #{row.rights}, #{row.license}, #{content}, #{by}) "
            + "on duplicate key update removed_at = null, brought_at = current_timestamp(3)")
    void keep(Row row, byte[] content, String by);

    @Update("update own_font set removed_at = current_timestamp(3) where file = #{file} and removed_at is null")
    int remove(String file);

    @Update("update own_font set removed_at = null, brought_at = current_timestamp(3) where file = #{file}")
    int putBack(String file);
}
