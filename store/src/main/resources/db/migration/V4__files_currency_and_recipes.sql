-- Files taken in, with what each product or shelf was before, so that a file can be taken back; the settings of the
-- practice that are one word, each with who changed it; and mixtures made at home: how one is used, and its recipe.

alter table product add column home_use varchar(10);
alter table product add column recipe clob;

create table taken_file (
    id           uuid         not null constraint taken_file_pk primary key,
    what         varchar(10)  not null,
    client_id    uuid         constraint taken_file_client references client on delete cascade,
    file_name    varchar(200) not null,
    added        int          not null,
    changed      int          not null,
    taken_by     varchar(120) not null,
    taken_at     timestamp    not null,
    undone_by    varchar(120),
    undone_at    timestamp,
    shelf_before clob,
    shelf_after  clob
);

-- A product as it was before a file and as the file left it; before is null where the file brought it.
create table taken_product (
    file_id    uuid        not null constraint taken_product_file references taken_file on delete cascade,
    product_id varchar(60) not null,
    was        clob,
    left_as    clob        not null,
    constraint taken_product_pk primary key (file_id, product_id)
);

alter table product_change add column file_id uuid;

create table practice_setting (
    id         uuid         not null constraint practice_setting_pk primary key,
    name       varchar(40)  not null,
    set_to     varchar(200) not null,
    changed_by varchar(120) not null,
    changed_at timestamp    not null
);
