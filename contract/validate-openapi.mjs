import { Buffer } from 'node:buffer';
import SwaggerParser from '@apidevtools/swagger-parser';
import { Validator } from '@seriousme/openapi-schema-validator';

/** Holds the description that comes in against two parsers that know nothing of each other; says what they refuse. */
const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const description = Buffer.concat(chunks).toString();
const { valid, errors } = await new Validator().validate(JSON.parse(description));
if (!valid) throw new Error(JSON.stringify(errors).slice(0, 2_000));
await SwaggerParser.validate(JSON.parse(description));
console.log('valid');
