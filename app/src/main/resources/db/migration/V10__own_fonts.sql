-- Font files that people brought, as WOFF2, by the name under which pages load them; a name stands for one content for ever.
create table if not exists own_font (
    file       varchar(160) character set ascii not null primary key,
    family     varchar(120)  not null,
    generic    varchar(20)   not null,
    style      varchar(10)   not null,
    weights    varchar(20)   not null,
    stretch    varchar(20)   not null,
    travels    boolean       not null,
    rights     varchar(120)  not null,
    license    text          not null,
    content    mediumblob    not null,
    brought_by varchar(120)  not null,
    brought_at datetime(3)   not null default current_timestamp(3),
    removed_at datetime(3)   null,
    index own_font_family (removed_at, family)
) character set utf8mb4;
