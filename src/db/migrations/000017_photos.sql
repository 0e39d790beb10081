-- Photographs of a bake: the picture itself, upright, small enough, without anything a camera wrote into it. What it shows and what was
-- read from it stands in the bake's log.

create table bake_photo (
  kitchen_id    uuid not null,
  bake_id       uuid not null,
  photo_id      uuid not null,
  -- of the file as it came: sent again it is known
  came_digest   bytea not null check (length(came_digest) = 32),
  picture       bytea not null check (length(picture) between 1 and 20000000),
  -- the same, for lists
  small         bytea not null check (length(small) between 1 and 1000000),
  added_at      timestamptz not null default now(),
  primary key (kitchen_id, photo_id),
  foreign key (kitchen_id, bake_id) references bake (kitchen_id, id)
);
create index bake_photo_bake on bake_photo (kitchen_id, bake_id);
-- a JPEG does not get smaller
alter table bake_photo alter column picture set storage external, alter column small set storage external;

create trigger bake_photo_append_only before update or delete on bake_photo
  for each row execute function refuse_rewriting();

-- A kitchen goes with its pictures.
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
