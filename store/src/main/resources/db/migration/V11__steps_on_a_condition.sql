-- A step may be for some days only, whichever they turn out to be: its condition, and how many days a week it is counted at.
alter table visit_step add when_kind varchar(40);
alter table visit_step add when_usual int;
