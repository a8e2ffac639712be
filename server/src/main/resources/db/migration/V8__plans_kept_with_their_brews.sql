-- A brew keeps the plan it was started from as the trade made it, so that nothing that changes later changes its answers.
alter table brew add column kept text;

-- Why the plan's numbers are what they are; read only when somebody asks.
create table brew_figures (
    brew_id uuid primary key references brew (id) on delete cascade,
    document text not null
);
