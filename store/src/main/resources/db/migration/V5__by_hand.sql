-- What the therapist changes on single steps, and the methods of the house.

create table visit_step (
    visit_id    uuid         not null constraint visit_step_visit references visit on delete cascade,
    part        varchar(10)  not null,
    product_id  varchar(60)  not null constraint visit_step_product references product,
    place       int          not null,
    left_out    boolean      not null,
    kept_to     varchar(20),
    second_coat boolean      not null,
    own_words   varchar(160) not null,
    moved       boolean      not null,
    goes_after  varchar(60),
    goes_before varchar(60),
    moved_why   varchar(200) not null,
    constraint visit_step_pk primary key (visit_id, part, product_id)
);

create table visit_step_day (
    visit_id   uuid        not null,
    part       varchar(10) not null,
    product_id varchar(60) not null,
    weekday    varchar(9)  not null,
    constraint visit_step_day_pk primary key (visit_id, part, product_id, weekday),
    constraint visit_step_day_step foreign key (visit_id, part, product_id)
        references visit_step (visit_id, part, product_id) on delete cascade
);

-- A method of the house: a preset with other answers. One that is no longer offered stays for the plans made with it.
create table house_method (
    id         varchar(60)  not null constraint house_method_pk primary key,
    name       varchar(40)  not null,
    note       varchar(200) not null,
    because    varchar(200) not null,
    copy_of    varchar(60)  not null,
    offered    boolean      not null,
    changed_by varchar(120) not null,
    changed_at timestamp    not null
);

create table house_method_setting (
    method_id varchar(60) not null constraint house_method_setting_method references house_method on delete cascade,
    setting   varchar(40) not null,
    set_to    varchar(40) not null,
    constraint house_method_setting_pk primary key (method_id, setting)
);
