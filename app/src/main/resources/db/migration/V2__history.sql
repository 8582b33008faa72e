-- The whole theme as it is after an entry, kept now and then so that any old state is near.
alter table revision add column if not exists document longtext null;

-- A name on a state of a theme.
create table if not exists checkpoint (
    theme_id   bigint       not null,
    number     int          not null,
    name       varchar(120) not null,
    account_id bigint       not null,
    made_at    datetime(3)  not null,
    primary key (theme_id, number),
    foreign key (theme_id, number) references revision (theme_id, number),
    foreign key (account_id) references account (id)
) character set utf8mb4;
