-- The brew that another one is a change or a second brew of.
alter table brew add column ancestor_id uuid references brew (id) on delete set null;
