-- Which roles the pages of a site take, and where something written by hand hides them; counted with the facts.
alter table site add column if not exists uses longtext null;
