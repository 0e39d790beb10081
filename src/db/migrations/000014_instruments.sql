-- Scales and thermometers that tell their readings by themselves, each with a key of its own.

create table instrument (
  id            uuid primary key,
  kitchen_id    uuid not null references kitchen (id),
  request_id    uuid not null,
  name          text not null check (length(name) between 1 and 40),
  kind          text not null,
  -- a scale shows in steps of so much; null: no scale
  step_g        double precision check (step_g > 0),
  -- never the key itself
  key_digest    bytea not null unique check (length(key_digest) = 32),
  added_at      timestamptz not null,
  -- its key opens nothing any more
  withdrawn_at  timestamptz,
  unique (kitchen_id, request_id),
  unique (kitchen_id, id)
);

-- What was told, so that the same again is answered as before and counted once. Rows older than what is still taken are no use to anybody.
create table instrument_telling (
  kitchen_id     uuid not null,
  instrument_id  uuid not null,
  telling_id     uuid not null,
  content        bytea not null check (length(content) = 32),
  received_at    timestamptz not null,
  taken          integer not null check (taken >= 0),
  malformed      integer not null check (malformed >= 0),
  impossible     integer not null check (impossible >= 0),
  late           integer not null check (late >= 0),
  primary key (instrument_id, telling_id),
  foreign key (kitchen_id, instrument_id) references instrument (kitchen_id, id)
);
create index instrument_telling_received on instrument_telling (instrument_id, received_at);

-- Every reading that was taken, counted in its ten seconds.
create table instrument_window (
  kitchen_id     uuid not null,
  instrument_id  uuid not null,
  starts_at      timestamptz not null,
  readings       integer not null check (readings >= 0),
  least          double precision,
  most           double precision,
  total          double precision not null,
  unsure         integer not null check (unsure >= 0),
  last_at        timestamptz not null,
  last_value     double precision not null,
  last_state     text not null,
  primary key (instrument_id, starts_at),
  foreign key (kitchen_id, instrument_id) references instrument (kitchen_id, id)
);

-- A kitchen goes with its instruments.
create or replace function remove_kitchen(gone uuid) returns boolean language plpgsql security definer
set search_path = pg_catalog, public as $$
declare
  was_there boolean;
begin
  perform set_config('crumb.removing', gone::text, true);
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
