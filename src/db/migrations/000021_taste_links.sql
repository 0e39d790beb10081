-- Links by which somebody tastes one bake and sees nothing else. Never the link itself; it ends by itself, or is withdrawn.

create table taste_link (
  id           uuid primary key,
  kitchen_id   uuid not null,
  bake_id      uuid not null,
  token_digest bytea not null unique check (length(token_digest) = 32),
  made_at      timestamptz not null,
  expires_at   timestamptz not null check (expires_at > made_at),
  withdrawn_at timestamptz,
  foreign key (kitchen_id, bake_id) references bake (kitchen_id, id)
);
create index taste_link_bake on taste_link (kitchen_id, bake_id, expires_at);

-- A kitchen goes with them.
create or replace function remove_kitchen(gone uuid) returns boolean language plpgsql security definer
set search_path = pg_catalog, public as $$
declare
  was_there boolean;
begin
  perform set_config('crumb.removing', gone::text, true);
  delete from public.device where kitchen_id = gone;
  delete from public.device_code where kitchen_id = gone;
  delete from public.computed_answer where kitchen_id = gone;
  delete from public.instrument_window where kitchen_id = gone;
  delete from public.instrument_telling where kitchen_id = gone;
  delete from public.instrument where kitchen_id = gone;
  delete from public.taste_link where kitchen_id = gone;
  delete from public.bake_forecast where kitchen_id = gone;
  delete from public.bake_photo where kitchen_id = gone;
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
  delete from public.kitchen_orders where kitchen_id = gone;
  delete from public.kitchen_kit where kitchen_id = gone;
  delete from public.kitchen where id = gone;
  was_there := found;
  perform set_config('crumb.removing', '', true);
  return was_there;
end
$$;
