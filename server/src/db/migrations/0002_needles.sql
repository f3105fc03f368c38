-- A machine counted the hours of one needle; now it lists what is in each of them.
UPDATE `shelf_items` SET `item` = json_set(
  json_remove(`item`, '$.needleHours'),
  '$.fitted',
  json_array(json_object('type', NULL, 'hours', json_extract(`item`, '$.needleHours')))
) WHERE `noun` = 'machines'
  AND CASE WHEN json_valid(`item`) THEN json_extract(`item`, '$.needleHours') END IS NOT NULL;
--> statement-breakpoint
-- So do the entries that say what a finished piece took, so that taking one back still gives it back.
UPDATE `log_entries` SET `taken` = (
  SELECT json_group_array(
    CASE WHEN json_extract(`value`, '$.noun') = 'machines'
      THEN json_set(`value`, '$.hours', json_array(json_extract(`value`, '$.hours')))
      ELSE json_set(`value`, '$.noun', json_extract(`value`, '$.noun'))
    END
  ) FROM json_each(`log_entries`.`taken`)
) WHERE `taken` LIKE '%"machines"%' AND json_valid(`taken`);
