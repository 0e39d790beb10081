-- One kitchen, its formulas as immutable revisions, its bakes as append-only logs.
-- Every table carries kitchen_id, and every reference goes through it, so that a row can never point into another kitchen.

create table kitchen (
  id          uuid primary key,
  details     jsonb not null check (jsonb_typeof(details) = 'object'),
  created_at  timestamptz not null default now()
);

create table formula (
  id           uuid not null,
  kitchen_id   uuid not null references kitchen (id),
  -- the newest revision's number; what a writer must have seen to write the next
  head         integer not null check (head >= 1),
  archived_at  timestamptz,
  created_at   timestamptz not null,
  primary key (kitchen_id, id)
);

create table formula_revision (
  kitchen_id      uuid not null,
  formula_id      uuid not null,
  number          integer not null check (number >= 1),
  -- made by the client once per save: the same save sent twice is kept once
  request_id      uuid not null,
  schema_version  integer not null,
  formula         jsonb not null check (jsonb_typeof(formula) = 'object'),
  saved_at        timestamptz not null,
  primary key (kitchen_id, formula_id, number),
  unique (kitchen_id, request_id),
  foreign key (kitchen_id, formula_id) references formula (kitchen_id, id) deferrable initially deferred
);

create table bake (
  id               uuid not null,
  kitchen_id       uuid not null references kitchen (id),
  formula_id       uuid not null,
  revision_number  integer not null,
  request_id       uuid not null,
  batch            jsonb not null,
  sheet            jsonb not null check (jsonb_typeof(sheet) = 'object'),
  started_at       timestamptz not null,
  primary key (kitchen_id, id),
  unique (kitchen_id, request_id),
  foreign key (kitchen_id, formula_id, revision_number)
    references formula_revision (kitchen_id, formula_id, number)
);
create index bake_by_start on bake (kitchen_id, started_at desc);
create index bake_by_formula on bake (kitchen_id, formula_id, started_at desc);

create table bake_event (
  kitchen_id   uuid not null,
  bake_id      uuid not null,
  seq          integer not null check (seq >= 1),
  -- made by the client once per tap: the same tap sent twice is kept once
  event_id     uuid not null,
  action       jsonb not null check (jsonb_typeof(action) = 'object'),
  -- when it happened (a tap that waited for the network happened before it arrived), and when it was kept
  happened_at  timestamptz not null,
  recorded_at  timestamptz not null default now(),
  primary key (kitchen_id, bake_id, seq),
  unique (kitchen_id, event_id),
  foreign key (kitchen_id, bake_id) references bake (kitchen_id, id)
);
create index bake_event_ending on bake_event (kitchen_id, bake_id)
  where action ->> 'type' in ('closed', 'abandoned');

-- History is not rewritten, not even by a bug in the application.
create function refuse_rewriting() returns trigger language plpgsql as $$
begin
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end
$$;

create trigger bake_event_append_only before update or delete on bake_event
  for each row execute function refuse_rewriting();
create trigger formula_revision_append_only before update or delete on formula_revision
  for each row execute function refuse_rewriting();
create trigger bake_append_only before update or delete on bake
  for each row execute function refuse_rewriting();
