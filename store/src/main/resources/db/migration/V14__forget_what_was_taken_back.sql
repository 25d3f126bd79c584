-- Of a chat message that its writer took back nothing of its text stays.
update message set subject = '' where removed = true;

update chat_change set body = '' where removal = false and exists (
    select 1 from message m
    where m.owner = chat_change.owner and m.identity = 'c:' || chat_change.target and m.removed = true);

delete from message_raw where message_id in (select id from message where removed = true);
