package org.umberloom.app.account;

import java.util.Collection;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Sessions as Spring Session keeps them; times in ms since 1970. */
@Mapper
interface SessionMapper {
    @Select(
            "<script>select SESSION_ID from SPRING_SESSION where EXPIRY_TIME &gt; #{now} and SESSION_ID in <foreach item='id' "
                    + "collection='ids' open='(' separator=',' close=')'>#{id}</foreach></script>")
    List<String> holding(@Param("ids") Collection<String> ids, @Param("now") long now);

    @Select("select SESSION_ID from SPRING_SESSION where PRINCIPAL_NAME = #{name} and SESSION_ID <> #{except}")
    List<String> of(String name, String except);

    @Delete("delete from SPRING_SESSION where SESSION_ID = #{id}")
    void end(String id);
}
