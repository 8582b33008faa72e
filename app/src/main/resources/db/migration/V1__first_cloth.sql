create table if not exists account (
    id            bigint       not null auto_increment primary key,
    email         varchar(190) not null unique,
    name          varchar(120) not null,
    password_hash varchar(120) not null,
    role          varchar(20)  not null
) character set utf8mb4;

create table if not exists theme (
    id         bigint       not null auto_increment primary key,
    name       varchar(200) not null,
    document   longtext     not null,
    revision   int          not null,
    changed_at datetime(3)  not null
) character set utf8mb4;

-- Every edit of a theme with its inverse. Undo and redo are entries of their own, so nothing is ever rewritten.
-- undo_top: the entry that undo would take back in this state; redo_top: the undo entry that redo would take back;
-- below: what lies under this entry on the stack it belongs to.
create table if not exists revision (
    theme_id   bigint       not null,
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
    primary key (theme_id, number),
    foreign key (theme_id) references theme (id),
    foreign key (account_id) references account (id)
) character set utf8mb4;

create table if not exists site (
    id       bigint       not null auto_increment primary key,
    slug     varchar(80)  not null unique,
    name     varchar(200) not null,
    theme_id bigint       not null,
    foreign key (theme_id) references theme (id)
) character set utf8mb4;

create table if not exists page (
    id       bigint       not null auto_increment primary key,
    site_id  bigint       not null,
    slug     varchar(80)  not null,
    title    varchar(200) not null,
    kind     varchar(40)  not null,
    position int          not null,
    html     mediumtext   not null,
    unique (site_id, slug),
    foreign key (site_id) references site (id)
) character set utf8mb4;

create table if not exists picture (
    id         bigint       not null auto_increment primary key,
    site_id    bigint       not null,
    name       varchar(120) not null,
    media_type varchar(80)  not null,
    license    varchar(200) not null,
    content    mediumblob   not null,
    unique (site_id, name),
    foreign key (site_id) references site (id)
) character set utf8mb4;

create table if not exists SPRING_SESSION (
    PRIMARY_ID            char(36) not null,
    SESSION_ID            char(36) not null,
    CREATION_TIME         bigint   not null,
    LAST_ACCESS_TIME      bigint   not null,
    MAX_INACTIVE_INTERVAL int      not null,
    EXPIRY_TIME           bigint   not null,
    PRINCIPAL_NAME        varchar(100),
    primary key (PRIMARY_ID)
) engine = InnoDB row_format = dynamic;

create unique index if not exists SPRING_SESSION_IX1 on SPRING_SESSION (SESSION_ID);
create index if not exists SPRING_SESSION_IX2 on SPRING_SESSION (EXPIRY_TIME);
create index if not exists SPRING_SESSION_IX3 on SPRING_SESSION (PRINCIPAL_NAME);

create table if not exists SPRING_SESSION_ATTRIBUTES (
    SESSION_PRIMARY_ID char(36)     not null,
    ATTRIBUTE_NAME     varchar(200) not null,
    ATTRIBUTE_BYTES    blob         not null,
    primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
    constraint SPRING_SESSION_ATTRIBUTES_FK foreign key (SESSION_PRIMARY_ID)
        references SPRING_SESSION (PRIMARY_ID) on delete cascade
) engine = InnoDB row_format = dynamic;
