-- The newest first, of one moment in the order of ids, as the record is read: one index, not three.
drop index follow_up_by_end;
drop index follow_up_by_end_newest;
drop index thread_by_turn_and_end;
create index follow_up_by_end on follow_up (owner, ended_at desc, id);
create index follow_up_by_category_and_end on follow_up (owner, category_id, ended_at desc, id);
-- What was taken back is little beside what stands.
create index command_undone on command (owner, undone_by);
-- What stays as it is in the weekly walk that is under way.
create table round_kept (
    owner uuid not null references account (id),
    id uuid not null,
    line varchar(700) not null,
    primary key (owner, id)
);
-- It was kept with the place of the walk before: such a change cannot be taken back any more, its line comes up again.
delete from history where subject_type = 'ROUND';
