import { TextField } from '../../../shared/ui/field';
import { FilmField } from '../fields/film-field';
import { PictureField } from '../fields/picture-field';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export const FilmFields = ({ section, errors, change }: SectionFieldsProps<'film'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <FilmField
      label="Film (MP4 or WebM)"
      accept="video/mp4,video/webm"
      name={section.film}
      error={errors.film}
      change={(film) => change({ ...section, film })}
    />
    <FilmField
      label="Captions (WebVTT)"
      accept=".vtt,text/vtt"
      name={section.captions}
      error={errors.captions}
      change={(captions) => change({ ...section, captions })}
    />
    <PictureField
      label="Picture before it plays"
      picture={section.poster}
      change={(poster) => change({ ...section, poster })}
    />
    <TextField
      label="Words below"
      value={section.caption}
      error={errors.caption}
      onChange={(event) => change({ ...section, caption: event.target.value })}
    />
  </>
);
