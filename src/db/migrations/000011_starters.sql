-- The starters a kitchen keeps, each with what happened to it: one document in versions that are never rewritten.

create table kitchen_starters (
  kitchen_id     uuid not null references kitchen (id),
  version        integer not null check (version >= 1),
  request_id     uuid not null,
  starters       jsonb not null check (jsonb_typeof(starters) = 'object'),
  saved_at       timestamptz not null,
  schema_version integer not null check (schema_version >= 1),
  primary key (kitchen_id, version),
  unique (kitchen_id, request_id)
);
create trigger kitchen_starters_append_only before update or delete on kitchen_starters
  for each row execute function refuse_rewriting();

-- A kitchen goes with its starters.
create or replace function remove_kitchen(gone uuid) returns boolean language plpgsql security definer
set search_path = pg_catalog, public as $$
declare
  was_there boolean;
begin
  perform set_config('crumb.removing', gone::text, true);
  delete from public.computed_answer where kitchen_id = gone;
  delete from public.bake_under_way where kitchen_id = gone;
  delete from public.bake_card where kitchen_id = gone;
  delete from public.bake_event where kitchen_id = gone;
  delete from public.bake where kitchen_id = gone;
  update public.formula set branched_from = null, branched_revision = null where kitchen_id = gone;
  delete from public.formula_revision where kitchen_id = gone;
  delete from public.formula where kitchen_id = gone;
  delete from public.kitchen_ingredient where kitchen_id = gone;
  delete from public.kitchen_day where kitchen_id = gone;
  delete from public.kitchen_life where kitchen_id = gone;
  delete from public.kitchen_starters where kitchen_id = gone;
  delete from public.kitchen_kit where kitchen_id = gone;
  delete from public.kitchen where id = gone;
  was_there := found;
  perform set_config('crumb.removing', '', true);
  return was_there;
end
$$;
