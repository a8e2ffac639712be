-- What lies on the simulated scale: one scale of the house, whichever server is asked.
create table simulated_scale (
  one boolean primary key default true check (one),
  from_g double precision not null default 0,
  to_g double precision not null default 0,
  tare_g double precision not null default 0,
  since timestamptz not null default now()
);
insert into simulated_scale default values;
