-- What answers say more of since then; everything is read again in the background.
update reading set facts = replace(facts, '"handsTo":', '"denies":false,"proposes":false,"arrived":false,"opensWithYes":false,"handsTo":');
