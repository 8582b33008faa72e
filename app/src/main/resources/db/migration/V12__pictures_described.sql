-- What is known of a site's pictures besides their license: where they are from, what they show, which point stays in sight
-- (shares from the left and the top), whether they only keep room, and their size in px, 0 for none.
alter table picture
    add column source      varchar(300) not null default '',
    add column alt         varchar(300) not null default '',
    add column focal_x     double       not null default 0.5,
    add column focal_y     double       not null default 0.5,
    add column placeholder boolean      not null default false,
    add column width       int          not null default 0,
    add column height      int          not null default 0;
