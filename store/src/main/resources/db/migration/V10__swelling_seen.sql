-- A swelling told at a check-in stays open until somebody notes who looked at it and what they said.
alter table check_in add seen_on date;
alter table check_in add seen_by varchar(200);
alter table check_in add seen_said varchar(1000);
