package org.umberloom.app.kit;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface BuildKeyMapper {
    record KeyRow(
            long id,
            String name,
            Long themeId,
            String theme,
            LocalDateTime madeAt,
            LocalDateTime expiresAt,
            LocalDateTime usedAt) {}

    @Select(
            "select k.id, k.name, k.theme_id, coalesce(t.name, '') as theme, k.made_at, k.expires_at, k.used_at "
                    + "from build_key k left join theme t on t.id = k.theme_id where k.account_id = #{account} order by k.id desc")
    List<KeyRow> all(long account);

    @Insert("insert into build_key (account_id, name, theme_id, hash, made_at, expires_at) values "
            + "(#{account}, #{name}, #{theme}, #{hash}, #{at}, #{until})")
    void add(long account, String name, Long theme, String hash, LocalDateTime at, LocalDateTime until);

    @Delete("delete from build_key where id = #{id} and account_id = #{account}")
    int remove(long account, long id);

    /** A key of somebody who is still here. */
    record HeldRow(long id, Long themeId, LocalDateTime expiresAt, LocalDateTime usedAt) {}

    @Select("select k.id, k.theme_id, k.expires_at, k.used_at from build_key k join account a on a.id = k.account_id "
            + "where k.hash = #{hash} and a.removed_at is null")
    Optional<HeldRow> held(String hash);

    @Update("update build_key set used_at = #{at} where id = #{id}")
    void used(long id, LocalDateTime at);
}
