-- How nights come round is a question of the method; a visit that says nothing of it follows her method. Seven stood there by itself, and
-- was what every method said.
alter table visit alter column nights_every drop default;
alter table visit alter column nights_every drop not null;
update visit set nights_every = null where nights_every = 7;
