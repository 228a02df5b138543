-- Why a step stands against a rule that may be overruled, in the therapist's words; empty where it does not.
alter table visit_step add column overrule varchar(200) default '' not null;
