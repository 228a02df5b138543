-- What keeps a record whole: versions on all that two people can edit, a line for each client on the desk, corrections of
-- earlier visits, who works here, and the practice's own mark.

-- H2 keeps in a check with a list the session that made it; units are checked at the door.
alter table product drop constraint product_unit;

alter table product add column version int default 0 not null;
alter table shelf_item add column version int default 0 not null;
alter table house_method add column version int default 0 not null;

alter table client add column version int default 0 not null;
alter table client add column contact varchar(200) default '' not null;
alter table client add column note varchar(2000) default '' not null;
alter table client add column archived_on date;

-- When somebody last worked on a visit: one that runs past midnight is still today's.
alter table visit add column worked_at timestamp;
update visit set worked_at = cast(on_date as timestamp);
alter table visit alter column worked_at set not null;
-- The save that made the version: the same one sent again, because its answer was lost, is no clash.
alter table visit add column made_by_save varchar(64) default '' not null;
create index visit_of_client on visit (client_id, on_date);

create table visit_correction (
    id         uuid         not null constraint visit_correction_pk primary key,
    visit_id   uuid         not null constraint visit_correction_visit references visit on delete cascade,
    who        varchar(120) not null,
    why        varchar(500) not null,
    opened_at  timestamp    not null
);

-- What the desk shows of a client, written whenever something of hers is; reckoned anew when the rules it was made by change.
create table desk_line (
    client_id  uuid          not null constraint desk_line_pk primary key
                             constraint desk_line_client references client on delete cascade,
    last_visit uuid,
    last_date  date,
    read_date  date,
    skin       varchar(200)  not null,
    mind       varchar(4000) not null,
    plans_kept int           not null,
    fault      varchar(500)  not null,
    made_by    varchar(80)   not null
);

alter table patch_test add column due_at timestamp;
alter table patch_test add column due_known boolean default false not null;

create table worker (
    id      uuid         not null constraint worker_pk primary key,
    name    varchar(120) not null,
    left_on date,
    constraint worker_name unique (name)
);

alter table practice_setting alter column set_to varchar(4000);

create table practice_mark (
    id         int          not null constraint practice_mark_pk primary key,
    media_type varchar(40)  not null,
    picture    blob         not null,
    changed_by varchar(120) not null,
    changed_at timestamp    not null
);

-- Every setting of one thing has its number, so that two set at once cannot both be the next.
alter table practice_setting add column nth int default 0 not null;
update practice_setting s set nth = (
    select count(*) from practice_setting o
    where o.name = s.name and (o.changed_at < s.changed_at or (o.changed_at = s.changed_at and o.id < s.id)));
alter table practice_setting add constraint practice_setting_nth unique (name, nth);
alter table probe_band add column nth int default 0 not null;
update probe_band s set nth = (
    select count(*) from probe_band o
    where o.band = s.band and (o.changed_at < s.changed_at or (o.changed_at = s.changed_at and o.id < s.id)));
alter table probe_band add constraint probe_band_nth unique (band, nth);

-- That a record was erased is kept, without whose it was.
create table erasure (
    id        uuid         not null constraint erasure_pk primary key,
    erased_on date         not null,
    who       varchar(120) not null
);
