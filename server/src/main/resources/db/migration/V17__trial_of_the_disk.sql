-- Written to when the disk was full, to see whether there is room again.
create table disk_trial (
  id integer primary key,
  filler text not null
);
