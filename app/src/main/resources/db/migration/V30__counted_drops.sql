-- How many drops of a bottle fill a millilitre, as the household counted them; none where nobody did.
alter table lot add column drops_per_ml numeric(4, 1) check (drops_per_ml between 5 and 60);
