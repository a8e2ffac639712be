-- By whose midnight the days of the house go; null until it is said, then the server's own.
alter table kitchen add column zone text;
