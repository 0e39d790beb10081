-- What a jar of yeast has shown in all of a kitchen's doughs is asked of its newest marked bakes, whichever formula they were of.
create index bake_card_risen_at_all on bake_card (kitchen_id, started_at desc, bake_id desc) where rises > 0;
