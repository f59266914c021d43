import { useId, useState } from 'react';
import { coloursOf, lookOf } from '../../../../core/look/palette';
import type { Look } from '../../../../core/model/look';
import type { Signs } from '../../../../core/model/signs';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import { Button } from '../../../shared/ui/button';

/** A picture is looked at this small: what matters is which colours it has, not where. */
const SIDE = 96;

async function pixelsAt(address: string): Promise<Uint8ClampedArray> {
  const picture = new Image();
  picture.src = address;
  await picture.decode();
  const canvas = Object.assign(document.createElement('canvas'), { width: SIDE, height: SIDE });
  const context = canvas.getContext('2d')!;
  context.drawImage(picture, 0, 0, SIDE, SIDE);
  return context.getImageData(0, 0, SIDE, SIDE).data;
}

interface Props {
  look: Look;
  logo: Signs['logo'];
  attempt: (name: string, look: Look) => void;
}

/** Colours taken from the logo, or from any picture that is read here and kept nowhere. */
export function FromPicture({ look, logo, attempt }: Props) {
  const id = useId();
  const [problem, setProblem] = useState<string | null>(null);
  const [colours, setColours] = useState<string[]>([]);
  const take = async (address: string, name: string) => {
    setProblem(null);
    try {
      const found = coloursOf(await pixelsAt(address));
      setColours(found.map(({ hex }) => hex));
      if (found.length === 0) return setProblem('This picture is completely transparent.');
      attempt(`the colours of ${name}`, lookOf(found, look));
    } catch {
      setProblem(`“${name}” cannot be read as a picture.`);
    }
  };
  const takeFile = async (file: File | undefined) => {
    if (!file) return;
    const address = URL.createObjectURL(file);
    await take(address, file.name);
    URL.revokeObjectURL(address);
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      {logo && (
        <Button onClick={() => void take(mediaUrl(logo.media, 160), 'your logo')}>Colours from your logo</Button>
      )}
      <label
        htmlFor={id}
        className="inline-flex cursor-pointer rounded-lg border border-line bg-sheet px-3.5 py-[7px] font-semibold hover:border-ink-3 focus-within:outline-2"
      >
        {logo ? 'Colours from another picture…' : 'Colours from your logo…'}
        <input
          id={id}
          type="file"
          accept="image/*"
          className="sr-only"
          onChange={({ target }) => {
            void takeFile(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {colours.length > 0 && (
        <span className="flex items-center gap-1.5" role="img" aria-label={`Found: ${colours.join(', ')}`}>
          {colours.map((hex) => (
            <span key={hex} className="size-6 rounded-full ring-1 ring-black/15" style={{ background: hex }} />
          ))}
        </span>
      )}
      {problem && (
        <p role="alert" className="text-rose-ink">
          {problem}
        </p>
      )}
    </div>
  );
}
