-- Records gain fields; those that are there are completed once.
INSERT INTO setting (key, value) VALUES ('records.completed', '0')
  ON CONFLICT (key) DO UPDATE SET value = '0';
