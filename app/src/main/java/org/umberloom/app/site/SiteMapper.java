package org.umberloom.app.site;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SiteMapper {
    @Select("select id, slug, name, theme_id from site order by id")
    List<Site> all();

    @Select("select id, slug, name, theme_id from site where slug = #{slug}")
    Optional<Site> bySlug(String slug);

    @Select("select slug, title, kind, html from page where site_id = #{siteId} order by position")
    List<Page> pages(long siteId);

    @Select("select p.slug, p.title, p.kind, p.html from page p join site s on s.id = p.site_id "
            + "where s.slug = #{site} and p.slug = #{page}")
    Optional<Page> page(String site, String page);

    @Select("select name, media_type, license, content from picture where site_id = #{siteId} order by name")
    List<Picture> pictures(long siteId);

    @Select("select p.name, p.media_type, p.license, p.content from picture p join site s on s.id = p.site_id "
            + "where s.slug = #{site} and p.name = #{name}")
    Optional<Picture> picture(String site, String name);

    @Select(
            "select distinct p.kind from page p join site s on s.id = p.site_id where s.theme_id = #{themeId} order by p.kind")
    List<String> kindsWearing(long themeId);

    @Select("select distinct kind from page order by kind")
    List<String> kinds();

    @Insert("insert into site (slug, name, theme_id) values (#{slug}, #{name}, #{themeId})")
    void addSite(String slug, String name, long themeId);

    @Insert("insert into page (site_id, slug, title, kind, position, html) "
            + "values (#{siteId}, #{slug}, #{title}, #{kind}, #{position}, #{html})")
    void addPage(long siteId, String slug, String title, String kind, int position, String html);

    @Insert("insert into picture (site_id, name, media_type, license, content) "
            + "values (#{siteId}, #{name}, #{mediaType}, #{license}, #{content})")
    void addPicture(long siteId, String name, String mediaType, String license, byte[] content);
}
