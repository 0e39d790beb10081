-- What was advised after bakes, and what their causes were: few events of many, asked for by themselves.
create index bake_event_told on bake_event (kitchen_id, bake_id) where action ->> 'type' in ('advised', 'causeTold');
-- Bakes of one version, for what became of a change.
create index bake_of_revision on bake (kitchen_id, formula_id, revision_number, started_at);
