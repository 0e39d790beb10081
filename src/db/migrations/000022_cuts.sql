-- How many pictures of a bake's cut were read: what the drawing of a slice learns from is found by it.
alter table bake_card add column cuts integer not null default 0;
create index bake_card_cut on bake_card (kitchen_id, formula_id, started_at desc, bake_id desc) where cuts > 0;
