-- What a message asks besides, and promises in return; everything is read again in the background.
update reading set facts = replace(replace(facts, '"asks":', '"besides":[],"asks":'), '"questionBack":', '"inReturn":"","inReturnBy":null,"questionBack":');
