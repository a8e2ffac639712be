-- Where a thing stands; missing means where such a thing usually stands. A blend is good no longer than the oldest herb mixed into it.
alter table shelf_tin add column place text;
alter table shelf_tin add column best_by date;

-- A blend of the house that was mixed: what it took out of the tins, and how its jar was before.
create table mixed (
    id uuid primary key,
    blend text not null,
    at timestamptz not null,
    grams double precision not null,
    parts jsonb not null,
    tin_id uuid not null,
    tin_version bigint not null,
    before jsonb
);
create index mixed_at on mixed (at);

-- A cup out of a jar while it is made, and spent herbs in the fridge: found without reading every brew.
alter table brew add column cup_since timestamptz;
alter table brew add column marc_at timestamptz;
alter table brew add column jar_note text not null default '';
create index brew_cup_since on brew (cup_since) where cup_since is not null;
create index brew_marc_at on brew (marc_at) where marc_at is not null;

-- What a household says of a recipe for itself.
alter table recipe add column favourite boolean not null default false;
alter table recipe add column words jsonb not null default '[]';
