-- What a bake is found by beside its name and words: notes, tastings, what was in it; and which bags went into it, for a recall.
alter table bake_card add column says text not null default '', add column lots text[] not null default '{}';
drop index bake_card_found;
create index bake_card_found on bake_card using gin (to_tsvector('simple', name || ' ' || words || ' ' || says));
create index bake_card_lots on bake_card using gin (lots);
