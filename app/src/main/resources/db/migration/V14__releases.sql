-- A state of a theme that stays as it is. trial: 0 for a full release, else which one for trying.
create table if not exists theme_release (
    id         bigint       not null auto_increment primary key,
    theme_id   bigint       not null,
    major      int          not null,
    minor      int          not null,
    patch      int          not null,
    trial      int          not null,
    revision   int          not null,
    document   longtext     not null,
    hash       char(64)     not null,
    notes      text         not null,
    -- why it was released though something of the heaviest weight is wrong; empty where nothing is
    reason     varchar(400) not null,
    account_id bigint       not null,
    made_at    datetime(3)  not null,
    unique (theme_id, major, minor, patch, trial),
    foreign key (theme_id) references theme (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- The release that a site stands on; none for one that has taken none of its theme yet.
-- follows: hand, patch or minor: what it takes by itself.
alter table site
    add column if not exists release_id bigint     null,
    add column if not exists follows    varchar(8) not null default 'hand',
    add foreign key if not exists site_of_release (release_id) references theme_release (id) on delete set null;

-- What a site stood on since when, and how it came to. way: hand, self, stage or back.
create table if not exists site_stood (
    id         bigint      not null auto_increment primary key,
    site_id    bigint      not null,
    release_id bigint      null,
    way        varchar(8)  not null,
    rollout_id bigint      null,
    account_id bigint      not null,
    since      datetime(3) not null,
    key (site_id, since),
    foreign key (site_id) references site (id) on delete cascade,
    foreign key (release_id) references theme_release (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- A release on its way to sites, in stages. state: going, paused, done or back.
create table if not exists rollout (
    id         bigint      not null auto_increment primary key,
    theme_id   bigint      not null,
    release_id bigint      not null,
    state      varchar(8)  not null,
    account_id bigint      not null,
    made_at    datetime(3) not null,
    foreign key (theme_id) references theme (id) on delete cascade,
    foreign key (release_id) references theme_release (id) on delete cascade,
    foreign key (account_id) references account (id)
) character set utf8mb4;

-- wait_hours: after the stage before it; −1 for one that is let go by hand.
create table if not exists rollout_stage (
    rollout_id bigint      not null,
    position   int         not null,
    wait_hours int         not null,
    done_at    datetime(3) null,
    primary key (rollout_id, position),
    foreign key (rollout_id) references rollout (id) on delete cascade
) character set utf8mb4;

-- was: the release that the site stood on before; state: waiting, taken or back.
create table if not exists rollout_site (
    rollout_id bigint     not null,
    site_id    bigint     not null,
    position   int        not null,
    was        bigint     null,
    state      varchar(8) not null,
    primary key (rollout_id, site_id),
    foreign key (rollout_id, position) references rollout_stage (rollout_id, position) on delete cascade,
    foreign key (site_id) references site (id) on delete cascade
) character set utf8mb4;
