-- Who was taken off the list stays in the history of what they made; they can no longer sign in.
alter table account add column if not exists removed_at datetime(3) null;

-- Of an invitation's word only its SHA-256 is kept: whoever reads this table can accept none.
create table if not exists invitation (
    id         bigint       not null auto_increment primary key,
    word       char(64) character set ascii not null unique,
    email      varchar(190) not null unique,
    name       varchar(120) not null,
    role       varchar(20)  not null,
    invited_by bigint       not null,
    expires_at datetime(3)  not null,
    foreign key (invited_by) references account (id)
) character set utf8mb4;

-- How many tries an account or an address has left, for all processes.
create table if not exists bucket (
    id         varchar(190) character set ascii not null primary key,
    state      blob   null,
    expires_at bigint null,
    index bucket_expired (expires_at)
) character set utf8mb4;
