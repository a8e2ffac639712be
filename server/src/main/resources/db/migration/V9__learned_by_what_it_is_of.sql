-- What is learned belongs to a burner, a vessel and a person, not to their names: a new name forgets nothing, and two of one
-- name are not mixed.
alter table brew add column burner_id uuid;
alter table brew add column vessel_id uuid;
update brew b set burner_id = x.id
from (select distinct on (name) id, name from burner order by name, id) x
where b.request -> 'kitchen' -> 'burner' ->> 'name' = x.name;
update brew b set vessel_id = x.id
from (select distinct on (name) id, name from vessel order by name, id) x
where b.request -> 'kitchen' -> 'vessel' ->> 'name' = x.name;

alter table stove_observation add column burner_id uuid;
alter table stove_observation add column vessel_id uuid;
update stove_observation o set burner_id = b.burner_id, vessel_id = b.vessel_id from brew b where b.id = o.brew_id;
-- Of burners and vessels that are gone; nobody can ask for them any more.
delete from stove_observation where burner_id is null or vessel_id is null;
alter table stove_observation alter column burner_id set not null;
alter table stove_observation alter column vessel_id set not null;
alter table stove_observation drop column burner;
alter table stove_observation drop column vessel;
create index stove_observation_of on stove_observation (burner_id, vessel_id, at);

alter table notebook_entry add column drinker_id uuid;
update notebook_entry n set drinker_id = b.drinker_id from brew b where b.id = n.brew_id;
drop index notebook_taste;
create index notebook_taste on notebook_entry (recipe_id, drinker_id, brewed_at) where felt is not null;

update learned_switch s set what = 'stove:' || x.burner_id || '|' || x.vessel_id
from (select distinct on (b.name, v.name) b.name as burner, v.name as vessel, b.id as burner_id, v.id as vessel_id
      from burner b cross join vessel v order by b.name, v.name, b.id, v.id) x
where s.what = 'stove:' || x.burner || '|' || x.vessel;
update learned_switch s set what = 'taste:' || x.recipe_id || '|' || x.drinker_id
from (select distinct on (recipe_id, drinker_name) recipe_id, drinker_name, drinker_id
      from brew where recipe_id is not null and drinker_id is not null order by recipe_id, drinker_name, drinker_id) x
where s.what = 'taste:' || x.recipe_id || '|' || x.drinker_name;
