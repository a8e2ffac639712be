-- How far along a pregnancy is.
alter table person add column trimester integer;

-- For how many days a pot is, what was poured of it and when (as a share of a day's cups), and who else drinks of it.
alter table brew add column days integer not null default 1;
alter table brew add column pours jsonb not null default '[]';
update brew set pours = jsonb_build_array(jsonb_build_object('at', started_at, 'share', drunk)) where drunk is not null;
alter table brew drop column drunk;
alter table brew add column sharers jsonb not null default '[]';
create index brew_sharers on brew using gin (sharers jsonb_path_ops);
