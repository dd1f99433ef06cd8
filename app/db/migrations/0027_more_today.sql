-- A passage may be changed for a day by more than one piece of advice; the same one replaces itself.
alter table today_change drop constraint today_change_pkey;
alter table today_change add primary key (passage_id, day, rule);
