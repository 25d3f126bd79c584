-- What both sides of a hand-over know of each other.
alter table hand_over add column taker_name varchar(200) default '' not null;
alter table hand_over add column changed_at timestamp(9) with time zone;
update hand_over set changed_at = offered_at;
alter table hand_over alter column changed_at set not null;
alter table hand_over add column wanted_day date;
alter table hand_over add column their_day date;
alter table hand_over add column follow_up uuid;
alter table hand_over add column parent varchar(500);
alter table hand_over add column untold varchar(10) default 'NOBODY' not null;
create index hand_over_untold on hand_over (untold);
create index hand_over_by_taker on hand_over (taker_address, offered_at);
create index hand_over_by_giver on hand_over (giver, offered_at);
create index hand_over_by_follow_up on hand_over (follow_up);
