alter table calendar add column takes_events boolean default true not null;
alter table calendar add column takes_tasks boolean default false not null;

-- Follow-ups that are tasks of a task list too, and tasks that were seen there and are none.
create table todo_link (
    owner uuid not null references account (id),
    uid varchar(500) not null,
    calendar_id uuid not null,
    follow_up_id uuid,
    base varchar(100000),
    version int not null,
    seen varchar(600) not null,
    primary key (owner, uid)
);
create index todo_link_by_follow_up on todo_link (owner, follow_up_id);

-- Tasks were not read before: what was no event is asked for once more.
update calendar set sync_token = '' where id in (select calendar_id from calendar_object where uid = '');
update calendar_object set etag = '' where uid = '';
