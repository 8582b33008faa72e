package org.umberloom.app.check;

import java.time.LocalDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AcceptedMapper {
    record Row(String finding, String reason, String acceptedBy, LocalDateTime acceptedAt) {}

    @Select("select finding, reason, accepted_by, accepted_at from accepted_finding where theme_id = #{theme}")
    List<Row> all(long theme);

    @Insert("insert into accepted_finding (theme_id, finding, reason, accepted_by) "
            + "values (#{theme}, #{finding}, #{reason}, #{by}) "
            + "on duplicate key update reason = #{reason}, accepted_by = #{by}, accepted_at = current_timestamp(3)")
    void accept(long theme, String finding, String reason, String by);

    @Delete("delete from accepted_finding where theme_id = #{theme} and finding = #{finding}")
    int reopen(long theme, String finding);
}
