-- What stood at its usual value and nobody was asked. Of visits before this it was not kept; of them nothing is called assumed.
alter table visit add column assumed varchar(200);
