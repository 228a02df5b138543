-- How nights come round, and what of hers is in them: part of a visit, so that going back a version takes it back, too.
alter table visit add nights_every int default 7 not null;
alter table visit add nights_first date;

create table visit_evening (
    visit_id uuid        not null constraint visit_evening_visit references visit on delete cascade,
    place    int         not null,
    kind     varchar(40) not null,
    weekday  varchar(9),
    on_date  date,
    constraint visit_evening_pk primary key (visit_id, place)
);

create table visit_course (
    visit_id   uuid        not null constraint visit_course_visit references visit on delete cascade,
    product_id varchar(60) not null,
    kind       varchar(40) not null,
    from_date  date        not null,
    constraint visit_course_pk primary key (visit_id, product_id)
);

create table visit_night (
    visit_id   uuid         not null constraint visit_night_visit references visit on delete cascade,
    product_id varchar(60)  not null,
    on_date    date         not null,
    used       boolean      not null,
    why        varchar(200) not null,
    constraint visit_night_pk primary key (visit_id, product_id, on_date)
);

-- What is said between visits and at them: how the skin took the last weeks, and when strong work pauses.
create table check_in (
    id        uuid          not null constraint check_in_pk primary key,
    client_id uuid          not null constraint check_in_client references client,
    on_date   date          not null,
    how       varchar(20)   not null,
    sting     int,
    redness   int,
    flaking   int,
    swelling  boolean       not null,
    skipped   int,
    remark    varchar(1000) not null,
    noted_at  timestamp     not null,
    constraint check_in_once unique (client_id, on_date)
);

create table pause (
    id         uuid          not null constraint pause_pk primary key,
    client_id  uuid          not null constraint pause_client references client,
    kind       varchar(40)   not null,
    from_date  date          not null,
    until_date date          not null,
    remark     varchar(1000) not null,
    noted_at   timestamp     not null
);
create index pause_of_client on pause (client_id, from_date);
