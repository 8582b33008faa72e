-- What the library shows of a theme, computed once when the theme was stored; its form counts up when the code needs
-- another. A theme that was put away is listed on its own.
alter table theme
    add column if not exists card        longtext    null,
    add column if not exists card_form   int         not null default 0,
    add column if not exists put_away_at datetime(3) null,
    add index if not exists theme_listed (put_away_at, changed_at, id);

-- Pictures by what is in them: the same for every theme, revision and process. Tones are what a veil is computed from.
create table if not exists picture_content (
    hash       char(64) character set ascii not null primary key,
    media_type varchar(80) not null,
    content    mediumblob  not null,
    tones      mediumblob  not null,
    kept_at    datetime(3) not null default current_timestamp(3)
) character set utf8mb4;

-- Which themes have, or once had, a picture; its content stays as long as one of them is kept.
create table if not exists picture_use (
    theme_id bigint not null,
    hash     char(64) character set ascii not null,
    primary key (theme_id, hash),
    foreign key (theme_id) references theme (id),
    foreign key (hash) references picture_content (hash)
) character set utf8mb4;
