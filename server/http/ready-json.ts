/** An answer as it is sent, for those that are asked for again and again. `T`: what it says. */
export class ReadyJson<T = unknown> {
  readonly bytes: Buffer;
  /** made when it is sent for the first time */
  etag: string | undefined;
  /** so that an answer that says something else is not taken for this one */
  declare readonly says: T;

  constructor(body: T) {
    this.bytes = Buffer.from(JSON.stringify(body));
  }
}
