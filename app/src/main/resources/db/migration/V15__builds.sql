-- A site as it is published: made once, never changed. token: stands in the address that others can be given.
create table if not exists build (
    id            bigint      not null auto_increment primary key,
    site_id       bigint      not null,
    number        int         not null,
    release_id    bigint      not null,
    site_revision int         not null,
    hash          char(64)    not null,
    token         char(32)    not null unique,
    bytes         bigint      not null,
    account_id    bigint      not null,
    made_at       datetime(3) not null,
    unique (site_id, number),
    foreign key (site_id) references site (id) on delete cascade,
    foreign key (release_id) references theme_release (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- What a build consists of; contents are kept once, whichever builds hold them.
create table if not exists build_content (
    hash    char(64) not null primary key,
    content longblob not null
) character set ascii;

create table if not exists build_file (
    build_id bigint   not null,
    name     varchar(400) character set utf8mb4 collate utf8mb4_bin not null,
    hash     char(64) character set ascii not null,
    primary key (build_id, name),
    foreign key (build_id) references build (id) on delete cascade
) character set utf8mb4;

-- Which build of a site is live, and which were before.
create table if not exists site_live (
    id         bigint      not null auto_increment primary key,
    site_id    bigint      not null,
    build_id   bigint      not null,
    account_id bigint      not null,
    since      datetime(3) not null,
    key (site_id, id),
    foreign key (site_id) references site (id) on delete cascade,
    foreign key (build_id) references build (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- Keys with which a program of a person may fetch kits. hash: of the secret, which is shown once and kept nowhere.
create table if not exists build_key (
    id         bigint       not null auto_increment primary key,
    account_id bigint       not null,
    name       varchar(120) not null,
    theme_id   bigint       null,
    hash       char(64)     not null unique,
    made_at    datetime(3)  not null,
    expires_at datetime(3)  not null,
    used_at    datetime(3)  null,
    foreign key (account_id) references account (id) on delete cascade,
    foreign key (theme_id) references theme (id) on delete cascade
) character set utf8mb4;
