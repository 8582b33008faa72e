package org.umberloom.app.release;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What sites stand on, and releases on their way to them. */
@Mapper
interface StandingMapper {
    /** Receives the key of a new row. */
    final class NewRollout {
        private long id;
        private final long themeId;
        private final long releaseId;
        private final long accountId;
        private final LocalDateTime madeAt;

        NewRollout(long themeId, long releaseId, long accountId, LocalDateTime madeAt) {
            this.themeId = themeId;
            this.releaseId = releaseId;
            this.accountId = accountId;
            this.madeAt = madeAt;
        }

        long id() {
            return id;
        }
    }

    record RolloutRow(long id, long themeId, long releaseId, String state, String person, LocalDateTime madeAt) {}

    record StageRow(long rolloutId, int position, int waitHours, LocalDateTime doneAt) {}

    record MemberRow(long siteId, String slug, String name, int position, Long was, String state, Long standsOn) {}

    @Update("<script>update site set release_id = #{release} where id in "
            + "<foreach item='id' collection='sites' open='(' separator=',' close=')'>#{id}</foreach></script>")
    int stand(@Param("sites") Collection<Long> sites, @Param("release") Long release);

    @Update("update site set follows = #{follows} where id = #{site}")
    int follow(long site, String follows);

    @Insert("<script>insert into site_stood (site_id, release_id, way, rollout_id, account_id, since) values "
            + "<foreach item='id' collection='sites' separator=','>(#{id}, #{release}, #{way}, #{rollout}, #{by}, #{at})"
            + "</foreach></script>")
    void note(
            @Param("sites") Collection<Long> sites,
            @Param("release") Long release,
            @Param("way") String way,
            @Param("rollout") Long rollout,
            @Param("by") long by,
            @Param("at") LocalDateTime at);

    /** Sites of a theme that take releases by themselves. */
    record FollowingRow(long id, Long releaseId, String follows) {}

    @Select("select id, release_id, follows from site where theme_id = #{theme} and put_away_at is null "
            + "and follows <> 'hand' and release_id is not null for update")
    List<FollowingRow> following(long theme);

    @Insert("insert into rollout (theme_id, release_id, state, account_id, made_at) values "
            + "(#{themeId}, #{releaseId}, 'going', #{accountId}, #{madeAt})")
    @Options(useGeneratedKeys = true, keyProperty = "id")
    void add(NewRollout rollout);

    @Insert("insert into rollout_stage (rollout_id, position, wait_hours) values (#{rollout}, #{position}, #{hours})")
    void addStage(long rollout, int position, int hours);

    @Insert("<script>insert into rollout_site (rollout_id, site_id, position, state) values "
            + "<foreach item='id' collection='sites' separator=','>(#{rollout}, #{id}, #{position}, 'waiting')"
            + "</foreach></script>")
    void addSites(
            @Param("rollout") long rollout, @Param("position") int position, @Param("sites") Collection<Long> sites);

    String ROLLOUT = "select r.id, r.theme_id, r.release_id, r.state, a.name as person, r.made_at from rollout r "
            + "join account a on a.id = r.account_id ";

    @Select(ROLLOUT + "where r.theme_id = #{theme} order by r.id desc limit 20")
    List<RolloutRow> rollouts(long theme);

    @Select(ROLLOUT + "where r.id = #{id}")
    Optional<RolloutRow> rollout(long id);

    /** Keeps everybody else from it until the transaction ends. */
    @Select("select state from rollout where id = #{id} for update")
    Optional<String> lock(long id);

    @Select("select account_id from rollout where id = #{id}")
    long startedBy(long id);

    @Update("update rollout set state = #{state} where id = #{id}")
    void turn(long id, String state);

    @Select(
            "select rollout_id, position, wait_hours, done_at from rollout_stage where rollout_id = #{rollout} order by position")
    List<StageRow> stages(long rollout);

    @Update("update rollout_stage set done_at = #{at} where rollout_id = #{rollout} and position = #{position}")
    void done(long rollout, int position, LocalDateTime at);

    @Select(
            "select m.site_id, s.slug, s.name, m.position, m.was, m.state, s.release_id as stands_on from rollout_site m "
                    + "join site s on s.id = m.site_id where m.rollout_id = #{rollout} order by m.position, s.name, s.id")
    List<MemberRow> members(long rollout);

    /** What each stood on is kept before it is put on another. */
    @Update("update rollout_site m join site s on s.id = m.site_id set m.was = s.release_id, m.state = 'taken' "
            + "where m.rollout_id = #{rollout} and m.position = #{position} and m.state = 'waiting'")
    int take(long rollout, int position);

    @Update("<script>update rollout_site set state = #{state} where rollout_id = #{rollout} and site_id in "
            + "<foreach item='id' collection='sites' open='(' separator=',' close=')'>#{id}</foreach></script>")
    void mark(@Param("rollout") long rollout, @Param("sites") Collection<Long> sites, @Param("state") String state);

    /** Those that go on, with when their last stage was done. */
    record DueRow(long id, LocalDateTime last) {}

    @Select("select r.id, max(s.done_at) as last from rollout r join rollout_stage s on s.rollout_id = r.id "
            + "where r.state = 'going' group by r.id")
    List<DueRow> going();
}
