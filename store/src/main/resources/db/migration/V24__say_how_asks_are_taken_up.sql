-- What readings and threads say more of since then; everything is read again in the background.
update reading set facts = replace(facts, '"returnsOn":', '"answersLater":false,"agrees":false,"plans":false,"fulfils":false,"handsTo":[],"returnsOn":');
update thread set awaited = replace(awaited, '"openToAll":false}', '"openToAll":false,"answeredBy":null,"answeredIn":null}');
update thread set awaited = replace(awaited, '"openToAll":true}', '"openToAll":true,"answeredBy":null,"answeredIn":null}');
