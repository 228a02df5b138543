-- A step may go on several places of the body: their names, in the order of the body, with commas between.
alter table visit_step alter column kept_to varchar(200);
