-- Devices of the home network, each paired with one kitchen by a code and known by a key of its own.

create table device_code (
  id            uuid primary key,
  kitchen_id    uuid not null references kitchen (id),
  name          text not null check (length(name) between 1 and 40),
  may           text not null check (may in ('look', 'bench', 'all')),
  -- never the code itself
  code_digest   bytea not null check (length(code_digest) = 32),
  expires_at    timestamptz not null,
  wrong_guesses integer not null default 0 check (wrong_guesses >= 0),
  used_at       timestamptz
);
create index device_code_open on device_code (expires_at) where used_at is null;
create index device_code_kitchen on device_code (kitchen_id);

create table device (
  id            uuid primary key,
  kitchen_id    uuid not null references kitchen (id),
  name          text not null check (length(name) between 1 and 40),
  may           text not null check (may in ('look', 'bench', 'all')),
  key_digest    bytea not null unique check (length(key_digest) = 32),
  paired_at     timestamptz not null,
  seen_at       timestamptz,
  -- its key opens nothing any more
  withdrawn_at  timestamptz
);
create index device_kitchen on device (kitchen_id);

-- A kitchen goes with its devices.
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
