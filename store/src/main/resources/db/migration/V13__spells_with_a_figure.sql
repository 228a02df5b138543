-- What a spell may tell of itself: hours in the air, height above the sea. Nothing where nobody said.
alter table pause add column figure double precision;
