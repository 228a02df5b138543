-- The whole intake, dated answers, referrals released, the probe with its conditions, contradictions settled, verdicts set by
-- hand, patch tests, and the practice's own bands.

alter table shelf_item add column morning boolean default true not null;
alter table shelf_item add column evening boolean default true not null;
alter table shelf_item add column days_a_week int default 7 not null;

alter table visit add column make_up varchar(10) default 'LIGHT' not null;
alter table visit add column budget numeric(8, 2);
alter table visit add column animal varchar(20) default 'ANY' not null;
alter table visit add column oils varchar(20) default 'ANY' not null;
alter table visit add column birth_year int;
alter table visit add column says varchar(20);
alter table visit add column burns int;
alter table visit add column tans int;
alter table visit add column room_celsius numeric(4, 1);
alter table visit add column room_humidity numeric(4, 1);
alter table visit add column wash_minutes int;
alter table visit add column washed_with_cleanser boolean default false not null;
alter table visit add column settled_minutes int;
alter table visit add column product_hours int;

create table visit_answer (
    visit_id uuid        not null constraint visit_answer_visit references visit on delete cascade,
    question varchar(40) not null,
    yes      boolean     not null,
    on_date  date,
    asked    date        not null,
    constraint visit_answer_pk primary key (visit_id, question)
);

-- Words of the client's own: medicines, and allergies that the table does not know.
create table visit_word (
    visit_id uuid        not null constraint visit_word_visit references visit on delete cascade,
    kind     varchar(20) not null,
    word     varchar(80) not null,
    place    int         not null,
    constraint visit_word_pk primary key (visit_id, kind, word)
);

create table visit_place (
    visit_id uuid        not null constraint visit_place_visit references visit on delete cascade,
    place    varchar(20) not null,
    constraint visit_place_pk primary key (visit_id, place)
);

create table visit_settled (
    visit_id uuid         not null constraint visit_settled_visit references visit on delete cascade,
    referral varchar(40)  not null,
    who      varchar(120) not null,
    on_date  date         not null,
    remark   varchar(500) not null,
    constraint visit_settled_pk primary key (visit_id, referral)
);

-- Where eye, probe and word part: which side is kept, by whom and why.
create table visit_contradiction (
    visit_id      uuid         not null constraint visit_contradiction_visit references visit on delete cascade,
    contradiction varchar(40)  not null,
    keeps         varchar(10)  not null,
    who           varchar(120) not null,
    why           varchar(500) not null,
    constraint visit_contradiction_pk primary key (visit_id, contradiction)
);

create table visit_by_hand (
    visit_id uuid         not null constraint visit_by_hand_visit references visit on delete cascade,
    verdict  varchar(20)  not null,
    stands   varchar(30)  not null,
    who      varchar(120) not null,
    why      varchar(500) not null,
    constraint visit_by_hand_pk primary key (visit_id, verdict)
);

create table probe_spot (
    visit_id  uuid          not null constraint probe_spot_visit references visit on delete cascade,
    quantity  varchar(20)   not null,
    zone      varchar(20)   not null,
    nth       int           not null,
    reading   numeric(7, 2) not null,
    simulated boolean       not null,
    constraint probe_spot_pk primary key (visit_id, quantity, zone, nth)
);

create table patch_test (
    id         uuid        not null constraint patch_test_pk primary key,
    client_id  uuid        not null constraint patch_test_client references client,
    product_id varchar(60) not null constraint patch_test_product references product,
    kind       varchar(20) not null,
    site       varchar(20) not null,
    started_at timestamp   not null
);

create table patch_reading (
    id            uuid         not null constraint patch_reading_pk primary key,
    patch_test_id uuid         not null constraint patch_reading_test references patch_test on delete cascade,
    grade         int          not null,
    read_at       timestamp    not null,
    remark        varchar(500) not null,
    constraint patch_reading_grade check (grade between 0 and 4)
);

create table patch_waiver (
    client_id  uuid         not null constraint patch_waiver_client references client,
    product_id varchar(60)  not null constraint patch_waiver_product references product,
    who        varchar(120) not null,
    why        varchar(500) not null,
    waived_on  date         not null,
    constraint patch_waiver_pk primary key (client_id, product_id)
);

-- Never overwritten: the newest row of a band counts, the others tell who changed it before.
create table probe_band (
    id         uuid          not null constraint probe_band_pk primary key,
    band       varchar(20)   not null,
    low        numeric(7, 2) not null,
    high       numeric(7, 2) not null,
    changed_by varchar(120)  not null,
    changed_at timestamp     not null
);

-- What was kept in the first schema.
insert into visit_answer (visit_id, question, yes, on_date, asked)
select visit_id, name, true, null, v.on_date from visit_allergy a join visit v on v.id = a.visit_id where a.known;
insert into visit_word (visit_id, kind, word, place)
select visit_id, 'ALLERGY', name, 0 from visit_allergy where not known;
insert into visit_answer (visit_id, question, yes, on_date, asked)
select id, lower(expecting), true, null, on_date from visit where expecting in ('PREGNANT', 'TRYING', 'BREASTFEEDING');
insert into visit_answer (visit_id, question, yes, on_date, asked)
select id, 'prescribed-retinoid', true, null, on_date from visit where prescribed_retinoid;
insert into visit_answer (visit_id, question, yes, on_date, asked)
select visit_id, replace(lower(kind), '_', '-'), true, dateadd(day, -days_past, v.on_date), v.on_date
from visit_event e join visit v on v.id = e.visit_id;
insert into probe_spot (visit_id, quantity, zone, nth, reading, simulated)
select visit_id, quantity, zone, 0, reading, false from probe_reading;
-- A release in one sentence named no referral; it is kept in the note, and asked for again.
update visit set note = note || char(10) || 'Settled before: ' || settled where settled <> '';

drop table visit_allergy;
drop table visit_event;
drop table probe_reading;
alter table visit drop column expecting;
alter table visit drop column prescribed_retinoid;
alter table visit drop column settled;
