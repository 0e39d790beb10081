-- Kitchens stand beside one another: each has a word of its own in every address.

alter table kitchen add column address text;
update kitchen k set address = named.word || case when named.place = 1 then '' else '-' || named.place end
from (
  select id, word, row_number() over (partition by word order by created_at, id) as place
  from (
    select id, created_at,
      coalesce(nullif(trim(both '-' from left(regexp_replace(lower(coalesce(details ->> 'name', '')), '[^a-z0-9]+', '-', 'g'), 30)), ''), 'kitchen') as word
    from kitchen) words) named
where named.id = k.id;
alter table kitchen
  alter column address set not null,
  add constraint kitchen_address_key unique (address),
  add check (address ~ '^[a-z0-9][a-z0-9-]{0,39}$'),
  -- made by the program, to look round in: it can be made anew, and nobody's own work is looked for in it
  add column demo boolean not null default false,
  -- the wish it was made by: sent again it is the same kitchen
  add column request_id uuid unique;

-- The demo kitchen comes once: removed, it stays away. A kitchen that is here already has had its demo.
alter table installation add column demo_brought boolean not null default false;
update installation set demo_brought = exists (select 1 from kitchen);

-- A log is not rewritten; it goes only with its whole kitchen, by the function below.
create or replace function refuse_rewriting() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and old.kitchen_id::text = current_setting('crumb.removing', true) then
    return old;
  end if;
  raise exception '% is append-only', tg_table_name using errcode = 'restrict_violation';
end
$$;

-- Takes a kitchen away for good, with everything in it. As the tables' owner: who serves may delete nothing by itself.
create function remove_kitchen(gone uuid) returns boolean language plpgsql security definer
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
  delete from public.kitchen_kit where kitchen_id = gone;
  delete from public.kitchen where id = gone;
  was_there := found;
  perform set_config('crumb.removing', '', true);
  return was_there;
end
$$;
revoke all on function remove_kitchen(uuid) from public;
