-- Findings that somebody decided to live with, and why; each by what it says, so that one that says something else is open again.
create table if not exists accepted_finding (
    theme_id    bigint       not null,
    finding     char(64) character set ascii not null,
    reason      varchar(400) not null,
    accepted_by varchar(120) not null,
    accepted_at datetime(3)  not null default current_timestamp(3),
    primary key (theme_id, finding),
    constraint accepted_finding_theme foreign key (theme_id) references theme (id) on delete cascade
) character set utf8mb4;
