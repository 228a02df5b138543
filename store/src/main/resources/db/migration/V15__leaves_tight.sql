-- Whether a wash leaves the skin tight, as the client says; null where nobody asked.
alter table shelf_item add column leaves_tight boolean;
