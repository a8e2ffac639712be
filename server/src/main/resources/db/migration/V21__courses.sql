-- A recipe drunk day by day. It keeps its own recipe and its own rhythm, so that nothing that is edited changes an old one.
create table course (
    id uuid primary key,
    recipe_id uuid,
    name text not null,
    recipe jsonb not null,
    drinkers jsonb not null default '[]',
    first_day date not null,
    days integer check (days between 1 and 365),
    row_days integer not null check (row_days between 1 and 3650),
    rest_days integer not null check (rest_days between 0 and 3650),
    times jsonb not null,
    ended_on date,
    ended_why text check (ended_why in ('better', 'stopped')),
    created_at timestamptz not null,
    version bigint not null default 0
);
create index course_first on course (first_day);

-- A cup of it that was drunk out of no brew of the house.
create table course_cup (
    id uuid primary key,
    course_id uuid not null references course (id) on delete cascade,
    at timestamptz not null
);
create index course_cup_of on course_cup (course_id, at);
