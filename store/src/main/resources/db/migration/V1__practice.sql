-- What a practice keeps: products, clients with their shelves, visits with reading and choices, and the plans handed over.

create table product (
    id           varchar(60)    not null constraint product_pk primary key,
    name         varchar(120)   not null,
    maker        varchar(120)   not null,
    net_size     numeric(8, 2)  not null,
    size_unit    varchar(2)     not null,
    price        numeric(8, 2)  not null,
    label        clob           not null,
    kind         varchar(30),
    texture      numeric(3, 1),
    prescription boolean        not null,
    house        boolean        not null,
    constraint product_unit check (size_unit in ('ml', 'g')),
    constraint product_texture check (texture between 1 and 8)
);

create table client (
    id         uuid         not null constraint client_pk primary key,
    name       varchar(120) not null,
    trade      varchar(120) not null,
    next_visit timestamp,
    added_at   timestamp    not null
);

create table shelf_item (
    id          uuid        not null constraint shelf_item_pk primary key,
    client_id   uuid        not null constraint shelf_item_client references client,
    product_id  varchar(60) not null constraint shelf_item_product references product,
    weeks_used  int         not null,
    place       int         not null,
    constraint shelf_item_once unique (client_id, product_id)
);

create table prescribed_night (
    shelf_item_id uuid       not null constraint prescribed_night_item references shelf_item on delete cascade,
    weekday       varchar(9) not null,
    constraint prescribed_night_pk primary key (shelf_item_id, weekday)
);

create table visit (
    id                  uuid          not null constraint visit_pk primary key,
    client_id           uuid          not null constraint visit_client references client,
    on_date             date          not null,
    version             int           not null,
    site                varchar(60)   not null,
    method              varchar(60)   not null,
    plan_month          varchar(9)    not null,
    outdoor_hours       numeric(4, 1) not null,
    make_up_days        int           not null,
    sunscreen_days      int           not null,
    morning_minutes     int           not null,
    evening_minutes     int           not null,
    most_steps          int           not null,
    scent               varchar(20)   not null,
    swings              boolean       not null,
    expecting           varchar(20)   not null,
    prescribed_retinoid boolean       not null,
    flush               int,
    reactions           int,
    settled             varchar(500)  not null,
    note                clob          not null
);

create table visit_allergy (
    visit_id uuid         not null constraint visit_allergy_visit references visit on delete cascade,
    name     varchar(80)  not null,
    known    boolean      not null,
    constraint visit_allergy_pk primary key (visit_id, name, known)
);

create table visit_concern (
    visit_id uuid        not null constraint visit_concern_visit references visit on delete cascade,
    concern  varchar(30) not null,
    constraint visit_concern_pk primary key (visit_id, concern)
);

create table visit_event (
    visit_id  uuid        not null constraint visit_event_visit references visit on delete cascade,
    kind      varchar(30) not null,
    days_past int         not null,
    constraint visit_event_pk primary key (visit_id, kind)
);

create table grade (
    visit_id uuid        not null constraint grade_visit references visit on delete cascade,
    zone     varchar(20) not null,
    sign     varchar(30) not null,
    grade    int         not null,
    known_by varchar(10) not null,
    constraint grade_pk primary key (visit_id, zone, sign),
    constraint grade_range check (grade between 0 and 4)
);

create table probe_reading (
    visit_id uuid          not null constraint probe_reading_visit references visit on delete cascade,
    quantity varchar(20)   not null,
    zone     varchar(20)   not null,
    reading  numeric(7, 2) not null,
    constraint probe_reading_pk primary key (visit_id, quantity, zone)
);

-- Put in or taken out by hand, in one of the two routines.
create table visit_choice (
    visit_id   uuid        not null constraint visit_choice_visit references visit on delete cascade,
    part       varchar(10) not null,
    product_id varchar(60) not null constraint visit_choice_product references product,
    taken_out  boolean     not null,
    place      int         not null,
    constraint visit_choice_pk primary key (visit_id, part, product_id)
);

-- A plan as it was handed over; never changed, a change makes the next number.
create table plan (
    id         uuid       not null constraint plan_pk primary key,
    visit_id   uuid       not null constraint plan_visit references visit,
    number     int        not null,
    plan_month varchar(9) not null,
    document   clob       not null,
    saved_at   timestamp  not null,
    constraint plan_number unique (visit_id, number)
);
