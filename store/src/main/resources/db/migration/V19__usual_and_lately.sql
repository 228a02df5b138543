-- Whether the skin is as it is as a rule; if not, since when and by what: ids of lately.yaml, with commas between. Null while nobody has asked.
alter table visit add column lately_usual boolean;
alter table visit add column lately_since date;
alter table visit add column lately_causes varchar(200);
