-- What a practice says of ingredients, over the table that ships: each saying stays, the newest of a name counts.
create table own_ingredient (
    id         uuid          not null constraint own_ingredient_pk primary key,
    name_key   varchar(800)  not null,
    nth        int           not null,
    printed    varchar(200)  not null,
    common     varchar(200)  not null,
    tags       varchar(1000) not null,
    low        decimal(9, 5),
    high       decimal(9, 5),
    irritancy  int,
    why        varchar(1000) not null,
    withdrawn  boolean       not null,
    changed_by varchar(120)  not null,
    changed_at timestamp     not null,
    constraint own_ingredient_nth unique (name_key, nth)
);
