-- Devices that were let in, the codes that let them in, and what happened at the door.
create table device (
  id uuid primary key,
  name text not null,
  role text not null check (role in ('cook', 'helper')),
  paired_at timestamptz not null,
  seen_at timestamptz not null,
  version bigint not null
);

create table pairing_code (
  id uuid primary key,
  digest text not null,
  role text not null check (role in ('cook', 'helper')),
  expires_at timestamptz not null,
  used_at timestamptz
);

create table door_audit (
  id uuid primary key,
  at timestamptz not null,
  what text not null,
  address text not null,
  device_id uuid,
  device_name text
);
create index door_audit_at on door_audit (at desc);

-- Spring Session JDBC 4, schema-postgresql.sql.
create table spring_session (
  primary_id char(36) not null,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100),
  constraint spring_session_pk primary key (primary_id)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name),
  constraint spring_session_attributes_fk foreign key (session_primary_id) references spring_session (primary_id) on delete cascade
);
