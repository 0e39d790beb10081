-- Every stored document carries the version of its shape. What was written so far is of the first version of each.

alter table kitchen add column schema_version integer not null default 1;
alter table bake add column schema_version integer not null default 1;
alter table bake_event add column schema_version integer not null default 1;
alter table kitchen_ingredient add column schema_version integer not null default 1;
alter table kitchen_kit add column schema_version integer not null default 1;
-- from now on whoever writes a document says of which version it is
alter table kitchen alter column schema_version drop default;
alter table bake alter column schema_version drop default;
alter table bake_event alter column schema_version drop default;
alter table kitchen_ingredient alter column schema_version drop default;
alter table kitchen_kit alter column schema_version drop default;

-- Bakes that ended can be opened again: what a bake is now is said by its last ending or opening.
drop index bake_event_ending;
create index bake_event_ending on bake_event (kitchen_id, bake_id, seq)
  where action ->> 'type' in ('closed', 'abandoned', 'reopened');

-- Lists go by time, then id: of two bakes begun at one moment neither is lost between two pages.
drop index bake_by_start;
create index bake_by_start on bake (kitchen_id, started_at desc, id desc);
drop index bake_by_formula;
create index bake_by_formula on bake (kitchen_id, formula_id, started_at desc, id desc);

-- Which data these are. Restoring a backup makes it another one, so that nothing remembered of the data before is taken for these.
create table installation (
  only_one  boolean primary key default true check (only_one),
  epoch     uuid not null
);
insert into installation (epoch) values (gen_random_uuid());
