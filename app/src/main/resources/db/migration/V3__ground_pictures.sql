-- Pictures that a theme's surfaces stand on, each with its tones: what the veil over it is computed from.
create table if not exists ground_picture (
    theme_id   bigint       not null,
    name       varchar(100) not null,
    media_type varchar(80)  not null,
    license    varchar(200) not null,
    content    mediumblob   not null,
    tones      mediumblob   not null,
    primary key (theme_id, name),
    foreign key (theme_id) references theme (id)
) character set utf8mb4;
