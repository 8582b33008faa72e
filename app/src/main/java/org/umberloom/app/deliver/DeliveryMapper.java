package org.umberloom.app.deliver;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeliveryMapper {
    /** Receives the key of a new row. */
    final class NewDelivery {
        private long id;
        private final long siteId;
        private final long hostId;
        private final int number;
        private final int ofFiles;
        private final long ofBytes;
        private final long accountId;
        private final LocalDateTime at;

        NewDelivery(long siteId, long hostId, int number, int ofFiles, long ofBytes, long accountId, LocalDateTime at) {
            this.siteId = siteId;
            this.hostId = hostId;
            this.number = number;
            this.ofFiles = ofFiles;
            this.ofBytes = ofBytes;
            this.accountId = accountId;
            this.at = at;
        }

        long id() {
            return id;
        }
    }

    record DeliveryRow(
            long id,
            String host,
            int number,
            String state,
            String said,
            int files,
            int ofFiles,
            long bytes,
            long ofBytes,
            int sent,
            String person,
            LocalDateTime startedAt,
            LocalDateTime beatAt,
            LocalDateTime endedAt) {}

    /** Keeps everybody else from beginning one of this site until the transaction ends. */
    @Select("select id from site where id = #{site} for update")
    Optional<Long> lock(long site);

    @Select("select count(*) from delivery where site_id = #{site} and state = 'going' and beat_at > #{since}")
    int going(long site, LocalDateTime since);

    @Insert(
            "insert into delivery (site_id, host_id, build_id, state, said, files, of_files, bytes, of_bytes, sent, stop_asked, "
                    + "account_id, started_at, beat_at) select #{siteId}, #{hostId}, b.id, 'going', '', 0, #{ofFiles}, 0, #{ofBytes}, 0, "
                    + "false, #{accountId}, #{at}, #{at} from build b where b.site_id = #{siteId} and b.number = #{number}")
    @Options(useGeneratedKeys = true, keyProperty = "id")
    int add(NewDelivery delivery);

    @Update("update delivery set files = #{files}, bytes = #{bytes}, beat_at = #{at} where id = #{id}")
    void beat(long id, int files, long bytes, LocalDateTime at);

    @Select("select stop_asked from delivery where id = #{id}")
    boolean stopAsked(long id);

    @Update("update delivery set stop_asked = true where id = #{id} and site_id = #{site} and state = 'going'")
    int askToStop(long site, long id);

    @Update("update delivery set state = #{state}, said = #{said}, sent = #{sent}, ended_at = #{at}, beat_at = #{at} "
            + "where id = #{id}")
    void end(long id, String state, String said, int sent, LocalDateTime at);

    @Select("select d.id, h.name as host, b.number, d.state, d.said, d.files, d.of_files, d.bytes, d.of_bytes, d.sent, "
            + "a.name as person, d.started_at, d.beat_at, d.ended_at from delivery d join host h on h.id = d.host_id "
            + "join build b on b.id = d.build_id join account a on a.id = d.account_id where d.site_id = #{site} "
            + "order by d.id desc limit 30")
    List<DeliveryRow> all(long site);
}
