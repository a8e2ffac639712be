-- What a recipe was before it was changed; brews keep their own whole copy.
create table recipe_version (
    id uuid primary key,
    recipe_id uuid not null references recipe (id) on delete cascade,
    version bigint not null,
    name text not null,
    about text not null,
    purposes jsonb not null,
    document jsonb not null,
    until timestamptz not null
);
create index recipe_version_of on recipe_version (recipe_id, version desc);

-- The tins on the shelf.
create table shelf_tin (
    id uuid primary key,
    herb text not null,
    form text not null,
    filled_on date not null,
    grams double precision check (grams >= 0),
    note text not null default '',
    version bigint not null default 0
);
create unique index shelf_tin_herb on shelf_tin (herb, form);

-- The cook's own herbs, and her own weights for shipped ones.
create table own_herb (
    slug text primary key,
    document jsonb not null,
    version bigint not null default 0
);
