-- What is known of a site's pictures besides their license: where they are from, what they show, which point stays in sight
-- (shares from the left and the top), whether they only keep room, and their size in px, 0 for none.
alter table picture
    add column if not exists source      varchar(300) not null default '',
    add column if not exists alt         varchar(300) not null default '',
    add column if not exists focal_x     double       not null default 0.5,
    add column if not exists focal_y     double       not null default 0.5,
    add column if not exists placeholder boolean      not null default false,
    add column if not exists width       int          not null default 0,
    add column if not exists height      int          not null default 0;
