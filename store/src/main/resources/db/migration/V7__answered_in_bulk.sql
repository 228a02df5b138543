-- Whether a question was answered together with the others of its group, by one tap for all of them.
alter table visit_answer add column bulk boolean default false not null;
