-- People who drink.
create table person (
    id uuid primary key,
    name text not null check (length(name) between 1 and 60),
    age_years double precision not null check (age_years between 0 and 120),
    weight_kg double precision check (weight_kg between 2 and 300),
    conditions jsonb not null default '[]',
    allergies jsonb not null default '[]',
    brewer boolean not null default false,
    version bigint not null default 0
);

create table vessel (
    id uuid primary key,
    name text not null check (length(name) between 1 and 60),
    kind text not null,
    inner_diameter_cm double precision not null check (inner_diameter_cm between 3 and 60),
    height_cm double precision not null check (height_cm between 3 and 60),
    brim_ml double precision not null check (brim_ml > 0),
    version bigint not null default 0
);

create table burner (
    id uuid primary key,
    name text not null check (length(name) between 1 and 60),
    low_w double precision not null,
    medium_w double precision not null,
    high_w double precision not null,
    version bigint not null default 0
);

-- One row: where it is brewed and whose spoons are meant.
create table kitchen (
    id integer primary key check (id = 1),
    altitude_m double precision not null,
    room_c double precision not null,
    tap_c double precision not null,
    kettle_w double precision not null,
    measures text not null,
    liang_g double precision not null,
    version bigint not null default 0
);
insert into kitchen values (1, 0, 20, 15, 2000, 'us', 3, 0);

-- A recipe is a document; what is searched stands beside it.
create table recipe (
    id uuid primary key,
    name text not null,
    tradition text not null,
    about text not null default '',
    purposes jsonb not null default '[]',
    document jsonb not null,
    created_at timestamptz not null,
    updated_at timestamptz not null,
    version bigint not null default 0
);

-- A brew keeps the whole request and plan it was made from.
create table brew (
    id uuid primary key,
    recipe_id uuid,
    name text not null,
    drinker_id uuid,
    drinker_name text not null,
    cups double precision not null,
    phase text not null,
    created_at timestamptz not null,
    started_at timestamptz,
    ended_at timestamptz,
    request jsonb not null,
    plan jsonb not null,
    loads jsonb not null default '{}',
    version bigint not null default 0
);
create index brew_phase on brew (phase);
create index brew_started on brew (started_at);
create index brew_drinker_day on brew (drinker_id, started_at);

-- What really happened, append-only. The id is made by the client, so that a repeat is harmless.
create table brew_event (
    id uuid primary key,
    brew_id uuid not null references brew (id) on delete cascade,
    position bigint generated always as identity,
    at timestamptz not null,
    kind text not null,
    data jsonb not null
);
create index brew_event_of_brew on brew_event (brew_id, position);

-- The memory: one line for each brew that came to an end.
create table notebook_entry (
    brew_id uuid primary key,
    recipe_id uuid,
    name text not null,
    drinker_name text not null,
    brewed_at timestamptz not null,
    cups double precision not null,
    planned_strength double precision not null,
    predicted_strength double precision not null,
    grams_per_cup double precision not null,
    phase text not null,
    felt integer,
    liking integer,
    taste text not null default '',
    change text not null default '',
    search tsvector generated always as (
        to_tsvector('english', name || ' ' || drinker_name || ' ' || taste || ' ' || change)) stored
);
create index notebook_when on notebook_entry (brewed_at desc, brew_id);
create index notebook_recipe on notebook_entry (recipe_id, brewed_at desc);
create index notebook_search on notebook_entry using gin (search);
