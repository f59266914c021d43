import { z } from 'zod';

/** Films, and words that are shown over them. */
export const filmTypes = ['mp4', 'webm', 'vtt'] as const;
export type FilmType = (typeof filmTypes)[number];

export const MAX_FILM_BYTES = 100 * 1024 * 1024;

/** Under what a film is kept: the hash of its content, then its type. */
export const filmName = /^[0-9a-f]{40}\.(?:mp4|webm)$/;
export const captionsName = /^[0-9a-f]{40}\.vtt$/;

export const filmSchema = z.string().regex(filmName, 'Upload the film first.');
export const captionsSchema = z.string().regex(captionsName, 'Upload the captions first.');

/** Where a film or its captions are found. */
export const filmUrl = (name: string): string => `/films/${name}`;
