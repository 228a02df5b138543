-- Products change: names put right by hand, new names, new formulas, retirement; which formula a kept plan was built
-- with; and how far a pack on a client's shelf is used up.

alter table shelf_item add column opened_on date;
alter table shelf_item add column percent_left int default 100 not null;

alter table product add column formula int default 1 not null;
alter table product add column retired_on date;

create table product_correction (
    product_id varchar(60)  not null constraint product_correction_product references product,
    about      varchar(10)  not null,
    of_name    varchar(200) not null,
    set_to     varchar(200) not null,
    who        varchar(120) not null,
    on_date    date         not null,
    constraint product_correction_pk primary key (product_id, about, of_name)
);

-- What a product was before each change; never overwritten.
create table product_change (
    id         uuid         not null constraint product_change_pk primary key,
    product_id varchar(60)  not null constraint product_change_product references product,
    kind       varchar(20)  not null,
    formula    int          not null,
    was        clob         not null,
    is_now     clob         not null,
    who        varchar(120) not null,
    changed_at timestamp    not null
);

create table plan_product (
    plan_id    uuid         not null constraint plan_product_plan references plan on delete cascade,
    product_id varchar(60)  not null constraint plan_product_product references product,
    name       varchar(120) not null,
    formula    int          not null,
    constraint plan_product_pk primary key (plan_id, product_id)
);
