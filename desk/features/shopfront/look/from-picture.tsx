import { useId, useState } from 'react';
import { coloursOf, lookOf } from '../../../../core/look/palette';
import type { Look } from '../../../../core/model/look';

/** A picture is looked at this small: what matters is which colours it has, not where. */
const SIDE = 96;

async function pixelsOf(file: File): Promise<Uint8ClampedArray> {
  const address = URL.createObjectURL(file);
  try {
    const picture = new Image();
    picture.src = address;
    await picture.decode();
    const canvas = Object.assign(document.createElement('canvas'), { width: SIDE, height: SIDE });
    const context = canvas.getContext('2d')!;
    context.drawImage(picture, 0, 0, SIDE, SIDE);
    return context.getImageData(0, 0, SIDE, SIDE).data;
  } finally {
    URL.revokeObjectURL(address);
  }
}

/** Colours taken from a logo, or from any picture; it is read here and kept nowhere. */
export function FromPicture({ look, attempt }: { look: Look; attempt: (name: string, look: Look) => void }) {
  const id = useId();
  const [problem, setProblem] = useState<string | null>(null);
  const [colours, setColours] = useState<string[]>([]);
  const take = async (file: File | undefined) => {
    if (!file) return;
    setProblem(null);
    try {
      const found = coloursOf(await pixelsOf(file));
      setColours(found.map(({ hex }) => hex));
      if (found.length === 0) return setProblem('This picture is completely transparent.');
      attempt(`the colours of ${file.name}`, lookOf(found, look));
    } catch {
      setProblem(`“${file.name}” cannot be read as a picture.`);
    }
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <label
        htmlFor={id}
        className="inline-flex cursor-pointer rounded-lg border border-line bg-sheet px-3.5 py-[7px] font-semibold hover:border-ink-3 focus-within:outline-2"
      >
        Colours from your logo…
        <input
          id={id}
          type="file"
          accept="image/*"
          className="sr-only"
          onChange={({ target }) => {
            void take(target.files?.[0]);
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
