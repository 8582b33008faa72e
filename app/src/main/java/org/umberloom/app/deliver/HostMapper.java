package org.umberloom.app.deliver;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HostMapper {
    String COLUMNS = "id, name, kind, address, port, account, folder, web, pinned, signs_in, salt, secret, public_key";

    /** As it is kept. */
    record HostRow(
            long id,
            String name,
            String kind,
            String address,
            int port,
            String account,
            String folder,
            String web,
            String pinned,
            String signsIn,
            String salt,
            byte[] secret,
            String publicKey) {}

    @Select("select " + COLUMNS + " from host order by name")
    List<HostRow> all();

    @Select("select " + COLUMNS + " from host where id = #{id}")
    Optional<HostRow> find(long id);

    @Insert(
            "insert into host (name, kind, address, port, account, folder, web, pinned, signs_in, salt, secret, public_key, "
                    + "account_id, made_at) values (#{host.name}, #{host.kind}, #{host.address}, #{host.port}, #{host.account}, "
                    + "#{host.folder}, #{host.web}, #{host.pinned}, #{host.signsIn}, #{host.salt}, #{host.secret}, #{host.publicKey}, "
                    + "#{by}, #{at})")
    void add(@Param("host") HostRow host, @Param("by") long by, @Param("at") LocalDateTime at);

    @Update(
            "update host set name = #{name}, kind = #{kind}, address = #{address}, port = #{port}, account = #{account}, "
                    + "folder = #{folder}, web = #{web}, pinned = #{pinned}, signs_in = #{signsIn}, salt = #{salt}, secret = #{secret}, "
                    + "public_key = #{publicKey} where id = #{id}")
    int change(HostRow host);

    @Delete("delete from host where id = #{id}")
    int remove(long id);

    String PLACES =
            "select h.site_id, s.slug as site, s.name as site_name, h.host_id, h.place, coalesce((select b.number "
                    + "from delivery d join build b on b.id = d.build_id where d.site_id = h.site_id and d.host_id = h.host_id "
                    + "and d.state = 'done' order by d.id desc limit 1), 0) as live from site_host h join site s on s.id = h.site_id ";

    /** Which site stands on which host. @param live the number of the build that arrived last; 0 for none */
    record PlaceRow(long siteId, String site, String siteName, long hostId, String place, int live) {}

    @Select(PLACES + "order by s.name")
    List<PlaceRow> places();

    @Select(PLACES + "where h.site_id = #{site}")
    Optional<PlaceRow> place(long site);

    @Insert("insert into site_host (site_id, host_id, place) values (#{site}, #{host}, #{place}) "
            + "on duplicate key update host_id = values(host_id), place = values(place)")
    void put(long site, long host, String place);

    @Delete("delete from site_host where site_id = #{site}")
    void takeOff(long site);
}
