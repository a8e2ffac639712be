-- What is left of a pot and was put into a jar: the level, and until when it is good. What a brew of an earlier version left is in no
-- jar.
alter table brew add column kept_at timestamptz;
alter table brew add column kept_ml double precision;
alter table brew add column left_ml double precision;
alter table brew add column made_at timestamptz;
alter table brew add column good_until timestamptz;
alter table brew add column drink_by timestamptz;
create index brew_in_jar on brew (drink_by) where kept_at is not null;
