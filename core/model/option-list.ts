import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { swatchSchema } from './product-values';
import { repeatedName } from '../shared/same-name';

/** Values that options of many products share, such as the colourways of a shop. */
export const optionListSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'A list needs a name.').max(80, 'At most 80 characters.'),
  choices: z
    .array(
      z.object({
        name: z.string().trim().min(1, 'A value needs a name.').max(80, 'At most 80 characters.'),
        swatch: swatchSchema,
      }),
    )
    .max(100, 'A list can have at most 100 values.'),
});
export type OptionList = z.infer<typeof optionListSchema>;

/** The place of the first value that is there twice; undefined when all differ. */
export function repeatedChoice({ choices }: Pick<OptionList, 'choices'>): number | undefined {
  const at = repeatedName(choices.map(({ name }) => name));
  return at < 0 ? undefined : at;
}
