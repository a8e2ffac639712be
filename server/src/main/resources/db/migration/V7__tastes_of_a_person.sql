-- How strong somebody usually likes it, and herbs she would rather not have.
alter table person add column usual_strength text not null default 'standard';
alter table person add column dislikes jsonb not null default '[]';
