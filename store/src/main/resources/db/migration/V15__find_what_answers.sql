-- Which messages of a room answer one that has only come now.
create index message_by_answered on message (owner, answers);
