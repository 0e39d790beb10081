-- What a bake put by: frozen, par-baked, kept, with how much is left of it and until when it is good. Made anew from sheet and log, like all of a card.
alter table bake_card add column stock jsonb not null default '[]'::jsonb;
-- Few bakes leave any; those are asked for on the first page.
create index bake_card_stock on bake_card (kitchen_id, started_at desc, bake_id desc) where stock <> '[]'::jsonb;
