-- Hours are kept as they are typed, a quarter of one too; and those of a place that is no longer ticked, for it may be ticked again.
alter table visit_place alter column hours set data type numeric(4, 2);
alter table visit_outdoors alter column hours set data type numeric(4, 2);
alter table visit alter column outdoor_hours set data type numeric(4, 2);
alter table visit_place add column ticked boolean default true not null;
