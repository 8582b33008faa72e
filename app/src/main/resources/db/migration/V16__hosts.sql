-- Places that serve sites. secret: a password or a private key, encrypted with the installation's own key, which is not in here.
create table if not exists host (
    id          bigint         not null auto_increment primary key,
    name        varchar(120)   not null unique,
    kind        varchar(10)    not null,
    address     varchar(255)   not null,
    port        int            not null,
    account     varchar(120)   not null,
    folder      varchar(400)   not null,
    web         varchar(400)   not null,
    pinned      varchar(100)   not null,
    signs_in    varchar(10)    not null,
    salt        varchar(32)    not null,
    secret      varbinary(20000) null,
    public_key  varchar(2000)  not null,
    account_id  bigint         not null,
    made_at     datetime(3)    not null,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- Where a site is delivered to. place: its folder on the host.
create table if not exists site_host (
    site_id bigint       not null primary key,
    host_id bigint       not null,
    place   varchar(120) not null,
    unique (host_id, place),
    foreign key (site_id) references site (id) on delete cascade,
    foreign key (host_id) references host (id)
) character set utf8mb4;

-- What was delivered. A delivery that goes on says so again and again: one whose beat is old was broken off.
create table if not exists delivery (
    id         bigint        not null auto_increment primary key,
    site_id    bigint        not null,
    host_id    bigint        not null,
    build_id   bigint        not null,
    state      varchar(10)   not null,
    said       varchar(1000) not null,
    files      int           not null,
    of_files   int           not null,
    bytes      bigint        not null,
    of_bytes   bigint        not null,
    sent       int           not null,
    stop_asked boolean       not null,
    account_id bigint        not null,
    started_at datetime(3)   not null,
    beat_at    datetime(3)   not null,
    ended_at   datetime(3)   null,
    key (site_id, id),
    foreign key (site_id) references site (id) on delete cascade,
    foreign key (host_id) references host (id) on delete cascade,
    foreign key (build_id) references build (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;
