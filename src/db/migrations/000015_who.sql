-- Who did what at the bench, where somebody said so.
alter table bake_event add column by_who text check (length(by_who) between 1 and 60);
