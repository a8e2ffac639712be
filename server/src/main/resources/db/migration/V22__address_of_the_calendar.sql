-- An address with a secret, for a calendar that asks by itself; only the secret's digest is kept.
create table calendar_address (
    one boolean primary key default true check (one),
    digest text not null,
    made_at timestamptz not null,
    until timestamptz not null,
    asked_at timestamptz
);
