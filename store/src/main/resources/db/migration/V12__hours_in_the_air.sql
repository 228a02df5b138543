-- How long the day is spent in which air: hours a day in a place that is ticked, and outdoors by month where they differ.
alter table visit_place add column hours numeric(4, 1);
alter table visit_place add constraint visit_place_hours check (hours between 0 and 24);

create table visit_outdoors (
    visit_id uuid          not null constraint visit_outdoors_visit references visit on delete cascade,
    of_month int           not null,
    hours    numeric(4, 1) not null,
    constraint visit_outdoors_pk primary key (visit_id, of_month),
    constraint visit_outdoors_month check (of_month between 1 and 12),
    constraint visit_outdoors_hours check (hours between 0 and 24)
);
