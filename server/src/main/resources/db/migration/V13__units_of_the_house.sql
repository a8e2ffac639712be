-- In which units the household reads its numbers; what is kept stays in those of the core.
alter table kitchen
    add column temperatures text not null default 'celsius',
    add column weights text not null default 'grams',
    add column volumes text not null default 'millilitres',
    add column lengths text not null default 'centimetres',
    add column hours text not null default 'twenty-four',
    add column dates text not null default 'day-month';
