-- What was poured of a brew, as a share of the cups that its plan counts for the day; missing until something is poured.
alter table brew add column drunk double precision;

update brew b
set drunk = p.ml / nullif(b.cups * (b.plan ->> 'cupMl')::double precision, 0)
from (
    select e.brew_id, sum((e.data ->> 'value')::double precision) as ml
    from brew_event e
    where e.kind = 'poured'
      and not exists (select 1 from brew_event u
                      where u.brew_id = e.brew_id and u.kind = 'undone' and u.data ->> 'event' = e.id::text)
    group by e.brew_id
) p
where p.brew_id = b.id;
