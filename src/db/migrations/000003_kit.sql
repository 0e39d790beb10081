-- What a kitchen has (ovens, stones, tins ...) and how it is, as versions that are never rewritten.

create table kitchen_kit (
  kitchen_id  uuid not null references kitchen (id),
  version     integer not null check (version >= 1),
  -- made by the client once per save: the same save sent twice is kept once
  request_id  uuid not null,
  kit         jsonb not null check (jsonb_typeof(kit) = 'object'),
  saved_at    timestamptz not null,
  primary key (kitchen_id, version),
  unique (kitchen_id, request_id)
);

create trigger kitchen_kit_append_only before update or delete on kitchen_kit
  for each row execute function refuse_rewriting();
