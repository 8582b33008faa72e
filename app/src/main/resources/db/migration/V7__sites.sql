-- A site is its parts: nameplate, look, order, pages, what is written at its places, and what is kept on purpose.
create table if not exists site_part (
    site_id bigint       not null,
    name    varchar(400) character set utf8mb4 collate utf8mb4_bin not null,
    content longtext     not null,
    primary key (site_id, name),
    foreign key (site_id) references site (id)
) character set utf8mb4;

-- Gone where a start ended right after it was emptied.
create table if not exists page (
    site_id  bigint       not null,
    slug     varchar(80)  not null,
    title    varchar(200) not null,
    kind     varchar(40)  not null,
    position int          not null,
    html     mediumtext   not null
) character set utf8mb4;

insert ignore into site_part (site_id, name, content)
select site_id, concat('page/', slug), json_object('title', title, 'kind', kind, 'html', html) from page;
insert ignore into site_part (site_id, name, content)
select site_id, 'order', json_object('pages', json_arrayagg(slug order by position)) from page group by site_id;
insert ignore into site_part (site_id, name, content)
select id, 'nameplate', json_object('name', name, 'tagline', '') from site;

drop table page;

alter table site
    add column if not exists revision   int         not null default 0,
    -- what is counted of a site, so that many can be shown without reading them; empty until it is counted
    add column if not exists facts      longtext    null,
    add column if not exists changed_at datetime(3) not null default current_timestamp(3);

-- Every edit of a site with its inverse, as the log of themes.
create table if not exists site_revision (
    site_id    bigint       not null,
    number     int          not null,
    kind       varchar(8)   not null,
    label      varchar(400) not null,
    target     int          null,
    undo_top   int          null,
    redo_top   int          null,
    below      int          null,
    edit       longtext     null,
    inverse    longtext     null,
    account_id bigint       not null,
    made_at    datetime(3)  not null,
    primary key (site_id, number),
    foreign key (site_id) references site (id),
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- What a site wore before.
create table if not exists site_wore (
    site_id  bigint      not null,
    theme_id bigint      not null,
    until    datetime(3) not null,
    primary key (site_id, theme_id),
    foreign key (site_id) references site (id)
) character set utf8mb4;

insert ignore into site_revision (site_id, number, kind, label, account_id, made_at)
select s.id, 0, 'start', 'the site as it stood', (select min(id) from account), current_timestamp(3) from site s;
