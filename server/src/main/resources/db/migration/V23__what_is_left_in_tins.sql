-- What a tin held is what somebody said last; what was brewed since then has been taken out of it.
alter table shelf_tin add column weighed_at timestamptz not null default now();
