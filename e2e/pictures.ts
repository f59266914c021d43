import sharp from 'sharp';

/** A plain picture of a made-up kite colour, for uploads. */
export function plainPicture(background: string, width = 900, height = 700): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer();
}
