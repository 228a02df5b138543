-- What a therapist puts beside a step: another one again, or a step without a product.
create table visit_step_then (
    visit_id    uuid        not null,
    part        varchar(10) not null,
    product_id  varchar(60) not null,
    place       int         not null,
    comes_again varchar(60),
    done_alone  varchar(40),
    constraint visit_step_then_pk primary key (visit_id, part, product_id, place),
    constraint visit_step_then_step foreign key (visit_id, part, product_id)
        references visit_step (visit_id, part, product_id) on delete cascade,
    constraint visit_step_then_one check ((comes_again is null) <> (done_alone is null))
);
