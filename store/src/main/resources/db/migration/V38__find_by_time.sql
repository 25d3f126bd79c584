create index message_by_time on message (owner, sent_at);
create index message_by_decision on message (owner, decided_at);
create index answer_time_by_moment on answer_time (owner, answered_at);
create index stint_by_start on stint (owner, started_at);
-- How long what is of a category usually takes, where that is other than usual.
alter table category add column effort_minutes int;
alter table stint add column corrected_at timestamp(9) with time zone;
-- The newest first, as the record is read.
create index follow_up_by_end_newest on follow_up (owner, ended_at desc, id desc);
create index thread_by_turn_and_end on thread (owner, turn, since desc, id desc);
