-- Says that something is new to every server process that listens. What it is is asked for: a notice only says where to look, so that
-- one that is lost, doubled or late does no harm.
create function tell_bakes() returns trigger language plpgsql as $$
begin
  perform pg_notify('crumb_news', 'bake ' || told.id)
    from (select distinct added.bake_id as id from added) told;
  return null;
end
$$;
create trigger bake_event_news after insert on bake_event
  referencing new table as added for each statement execute function tell_bakes();

create function tell_bake() returns trigger language plpgsql as $$
begin
  perform pg_notify('crumb_news', 'bake ' || new.id);
  return null;
end
$$;
create trigger bake_news after insert on bake for each row execute function tell_bake();

create function tell_day() returns trigger language plpgsql as $$
begin
  perform pg_notify('crumb_news', 'day ' || new.kitchen_id);
  return null;
end
$$;
create trigger kitchen_day_news after insert on kitchen_day for each row execute function tell_day();
