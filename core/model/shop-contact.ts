import { z } from 'zod';

const line = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const mail = z.union([z.literal(''), z.email('Type an address such as hello@example.com.')]);

/** Who stands behind the shop, as legal pages, mails and the foot of each page say it. */
export const contactSchema = z.object({
  company: line(120),
  /** who answers for it */
  person: line(120),
  street: line(120),
  postcode: line(20),
  city: line(80),
  country: line(60),
  mail,
  phone: z
    .string()
    .trim()
    .max(40, 'At most 40 characters.')
    .regex(/^[+\d\s()/.-]*$/, 'Type a number such as +31 20 123 45 67.'),
  /** with the chamber of commerce or a court */
  registration: line(80),
  taxNumber: line(40),
  /** pages of the shop elsewhere */
  social: z
    .array(
      z.object({
        name: line(30).min(1, 'Type what it is called.'),
        url: z.url({ protocol: /^https$/, error: 'Type an address that starts with https://.' }).max(300),
      }),
    )
    .max(8, 'At most eight.'),
  /** who mails of the shop come from; empty: the shop itself at its own address */
  senderName: line(80),
  senderMail: mail,
});
export type Contact = z.infer<typeof contactSchema>;

export const noContact: Contact = {
  company: '',
  person: '',
  street: '',
  postcode: '',
  city: '',
  country: '',
  mail: '',
  phone: '',
  registration: '',
  taxNumber: '',
  social: [],
  senderName: '',
  senderMail: '',
};

/** What each part of it is called, on its field and in the review. */
export const contactWords: Readonly<Record<keyof Contact, string>> = {
  company: 'Company',
  person: 'Responsible person',
  street: 'Street and number',
  postcode: 'Postcode',
  city: 'Town',
  country: 'Country',
  mail: 'Mail',
  phone: 'Phone',
  registration: 'Registration number',
  taxNumber: 'VAT number',
  social: 'Links to you elsewhere',
  senderName: 'Mails come from',
  senderMail: 'Mails are sent from',
};

/** A name in the domain name system, in small letters, with a dot: "kites.example". */
export const domainSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(253, 'At most 253 characters.')
  .regex(
    /^(?:$|(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z](?:[a-z0-9-]{0,61}[a-z0-9])$)/,
    'Type a name such as kites.example, without https:// and without a path.',
  );
