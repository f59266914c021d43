-- How much light and dark differ in a picture: the standard deviation of its luminance, 0 to 127. NULL for those that came before
-- it was measured.
ALTER TABLE media ADD COLUMN contrast REAL;
