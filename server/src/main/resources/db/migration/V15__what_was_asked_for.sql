-- What a client asked for under an id of its own, as a digest: the same again is answered with what it made, something else is refused.
alter table brew add column asked_digest text;
