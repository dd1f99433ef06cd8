-- The month at whose end the year of a school is over: what was handed in is kept until then.

alter table studio add column year_ends integer not null default 7 check (year_ends between 1 and 12);
