-- A kitchen's own ingredients, blends and bags, as versions that are never rewritten; and where a formula branched off.

create table kitchen_ingredient (
  kitchen_id  uuid not null references kitchen (id),
  id          text not null check (id ~ '^[a-z0-9-]{1,60}$'),
  version     integer not null check (version >= 1),
  -- made by the client once per save: the same save sent twice is kept once
  request_id  uuid not null,
  entry       jsonb not null check (jsonb_typeof(entry) = 'object'),
  -- put away: no longer offered, yet known to the formulas that use it
  away        boolean not null,
  saved_at    timestamptz not null,
  primary key (kitchen_id, id, version),
  unique (kitchen_id, request_id)
);

create trigger kitchen_ingredient_append_only before update or delete on kitchen_ingredient
  for each row execute function refuse_rewriting();

alter table formula
  add column branched_from uuid,
  add column branched_revision integer,
  add foreign key (kitchen_id, branched_from, branched_revision)
    references formula_revision (kitchen_id, formula_id, number),
  add check ((branched_from is null) = (branched_revision is null));
