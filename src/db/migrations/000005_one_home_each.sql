-- The kitchen's height and scales have one home each: the kit. What the kitchen's details said of the scales becomes a newer
-- version of the kit, in the shape of version 2; a kitchen that never said anything of its kit gets the ordinary one at its own height.

insert into kitchen_kit (kitchen_id, version, request_id, kit, saved_at, schema_version)
select k.id, coalesce(newest.version, 0) + 1, gen_random_uuid(),
  coalesce(newest.kit - 'scaleG', jsonb_build_object(
    'roomC', 21, 'warmC', 28, 'fridgeC', 5, 'altitudeM', coalesce(k.details -> 'altitudeM', '0'),
    'mixer', '{"kind": "machine", "frictionCPerMin": null}'::jsonb,
    'ovens', '[{"id": "oven", "name": "Oven", "kind": "static", "litres": null, "heatUpMin": null, "readings": [], "fitted": null}]'::jsonb,
    'ovenId', 'oven', 'plates', '[]'::jsonb, 'tins', '[]'::jsonb, 'fryer', null))
    || jsonb_build_object('scales', k.details -> 'scales'),
  now(), 2
from kitchen k
left join lateral (
  select version, kit from kitchen_kit where kitchen_id = k.id order by version desc limit 1) newest on true
where k.details ? 'scales';

update kitchen set details = details - 'altitudeM' - 'scales', schema_version = 2 where schema_version = 1;
