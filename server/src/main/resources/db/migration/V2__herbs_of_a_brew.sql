-- Which herbs a brew holds, beside its plan: how many days in a row somebody drank one is asked before every plan.
alter table brew add column herbs jsonb not null default '[]';
update brew set herbs = coalesce(
    (select jsonb_agg(distinct a -> 'herb') from jsonb_array_elements(plan -> 'additions') a), '[]');
