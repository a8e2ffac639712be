-- A herb of the cook's own that something still names is put away instead of forgotten.
alter table own_herb add column retired_at timestamptz;

-- A recipe keeps the thumb of its fire line, so that a list of recipes plans nothing.
alter table recipe add column thumb jsonb;
