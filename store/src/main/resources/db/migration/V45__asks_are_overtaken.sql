-- What answers say more of since then; everything is read again in the background.
update reading set facts = replace(facts, '"handsTo":', '"overtaken":false,"thingThere":"","handsTo":');
