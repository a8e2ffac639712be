-- What goes with a vessel and is none itself: codes, separated by blanks.
alter table vessel add column companions text not null default '';
