-- A simulated brew has a clock of its own: from clock_real on it runs clock_speed times as fast, starting at clock_brew.
alter table brew add column clock_speed double precision not null default 1;
alter table brew add column clock_real timestamptz;
alter table brew add column clock_brew timestamptz;

-- The rest of a note.
alter table notebook_entry add column colour text not null default '';
alter table notebook_entry add column clarity text not null default '';
alter table notebook_entry add column smell text not null default '';
alter table notebook_entry add column effect text not null default '';
alter table notebook_entry add column meanwhile text not null default '';
alter table notebook_entry drop column search;
alter table notebook_entry add column search tsvector generated always as (
    to_tsvector('english', name || ' ' || drinker_name || ' ' || taste || ' ' || change || ' ' || colour || ' ' || clarity
        || ' ' || smell || ' ' || effect || ' ' || meanwhile)) stored;
create index notebook_search on notebook_entry using gin (search);
create index notebook_taste on notebook_entry (recipe_id, drinker_name) where felt is not null;

create table brew_photo (
    brew_id uuid primary key references brew (id) on delete cascade,
    type text not null check (type in ('image/jpeg', 'image/png')),
    bytes bytea not null,
    taken_at timestamptz not null
);

-- What measured brews say of a burner under a vessel: real ÷ planned.
create table stove_observation (
    id uuid primary key,
    brew_id uuid not null references brew (id) on delete cascade,
    burner text not null,
    vessel text not null,
    kind text not null,
    ratio double precision not null check (ratio > 0),
    at timestamptz not null
);
create index stove_observation_of on stove_observation (burner, vessel, at);
create index stove_observation_brew on stove_observation (brew_id);

-- Whether something learned is used, and from when on it counts. What is not here is used, from the beginning.
create table learned_switch (
    what text primary key,
    used boolean not null,
    since timestamptz not null
);
