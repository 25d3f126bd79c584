-- What a message asks besides; everything is read again in the background.
update reading set facts = replace(facts, '"asks":', '"besides":[],"asks":');
