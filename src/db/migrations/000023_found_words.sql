-- The words a bake is found by are taken apart once, as it is saved, and not for every bake that is looked at.
alter table bake_card add column found tsvector
  generated always as (to_tsvector('simple'::regconfig, name || ' ' || words || ' ' || says)) stored;
drop index bake_card_found;
create index bake_card_found on bake_card using gin (found);
