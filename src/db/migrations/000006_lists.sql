-- Lists are made of columns, not of sheets and logs; what is under way is a table of its own, as small as it is.

-- What lists show of a bake. It follows from the sheet and the log and is kept by the transaction that appends to the log; `derivation`
-- says by which rules, so that a program with newer ones makes it anew (src/server/bakeCards.ts).
create table bake_card (
  kitchen_id         uuid not null,
  bake_id            uuid not null,
  formula_id         uuid not null,
  started_at         timestamptz not null,
  -- null while it is under way
  ended_at           timestamptz,
  name               text not null,
  pieces             integer,
  dough_g            double precision,
  loss_percent       double precision,
  scores             jsonb,
  again              text,
  words              text not null,
  -- why it was given up; null: it was not
  given_up           text,
  -- the newest event's number, and how many of them are marks of a rise and of how the dough felt
  last_seq           integer not null,
  rises              integer not null,
  feels              integer not null,
  -- the sheet cannot be read: the version it says it has
  unreadable_version integer,
  derivation         integer not null,
  primary key (kitchen_id, bake_id),
  foreign key (kitchen_id, bake_id) references bake (kitchen_id, id)
);
create index bake_card_ended on bake_card (kitchen_id, started_at desc, bake_id desc) where ended_at is not null;
create index bake_card_of_formula on bake_card (kitchen_id, formula_id, started_at desc, bake_id desc)
  where ended_at is not null;
create index bake_card_risen on bake_card (kitchen_id, formula_id, started_at desc, bake_id desc) where rises > 0;
create index bake_card_felt on bake_card (kitchen_id, started_at desc, bake_id desc) where feels > 0;
create index bake_card_found on bake_card using gin (to_tsvector('simple', name || ' ' || words));

create table bake_under_way (
  kitchen_id  uuid not null,
  bake_id     uuid not null,
  started_at  timestamptz not null,
  -- what it needs next and its timers, for Today and for whatever page rings them; null where its sheet cannot be read
  card        jsonb,
  primary key (kitchen_id, bake_id),
  foreign key (kitchen_id, bake_id) references bake (kitchen_id, id)
);

create index bake_under_way_newest on bake_under_way (kitchen_id, started_at desc, bake_id desc);

-- The endings are asked of the log no more.
drop index bake_event_ending;
-- Bakes are listed by their cards.
drop index bake_by_start;
drop index bake_by_formula;

-- What the shelf lists a formula by: of its newest revision, and of its bakes. Kept by the transactions that change them.
alter table formula
  add column name text not null default '',
  add column style text not null default '',
  add column bakes integer not null default 0,
  add column last_baked_at timestamptz;
update formula f set
  name = coalesce(r.formula ->> 'name', ''),
  style = coalesce(r.formula ->> 'style', ''),
  bakes = (select count(*) from bake b where b.kitchen_id = f.kitchen_id and b.formula_id = f.id),
  last_baked_at = (select max(started_at) from bake b where b.kitchen_id = f.kitchen_id and b.formula_id = f.id)
from formula_revision r where r.kitchen_id = f.kitchen_id and r.formula_id = f.id and r.number = f.head;
alter table formula alter column name drop default, alter column style drop default;
create index formula_on_shelf on formula (kitchen_id, lower(name), id) where archived_at is null;
create index formula_in_archive on formula (kitchen_id, lower(name), id) where archived_at is not null;

-- Answers that took long to compute, each with a signature of all it follows from. Everything in it can be computed again.
create table computed_answer (
  kitchen_id  uuid not null references kitchen (id),
  about       text not null,
  signature   text not null,
  answer      jsonb not null,
  primary key (kitchen_id, about)
);
