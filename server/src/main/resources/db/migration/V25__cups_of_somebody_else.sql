-- A cup out of a jar that somebody drinks for whom the pot was not made: {"at", "share", "by"} among the pours.
create index brew_pours on brew using gin (pours jsonb_path_ops);
