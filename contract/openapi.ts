import { z } from 'zod';
import { allRoutes } from './all-routes';
import { problemSchema } from './problem';
import type { Route } from './route';

type Json = Record<string, unknown>;

/** Shapes that hold themselves, such as rules, by their text: they are told once, among the components. */
const shared = new Map<string, { name: string; schema: Json }>();

const refsTo = (value: Json, rename: (name: string) => string): Json =>
  JSON.parse(
    JSON.stringify(value).replace(
      /"#\/\$defs\/([^"]+)"/g,
      (_all, name: string) => `"#/components/schemas/${rename(name)}"`,
    ),
  ) as Json;

/** JSON schema of a shape; values that JSON has no schema for are any. */
function schema(type: z.ZodType, io: 'input' | 'output'): Json {
  const {
    $schema: _dialect,
    $defs = {},
    ...rest
  } = z.toJSONSchema(type, { io, unrepresentable: 'any', reused: 'inline' }) as Json & { $defs?: Record<string, Json> };
  const named = (name: string) => {
    const text = JSON.stringify($defs[name]);
    const known = shared.get(text);
    if (known) return known.name;
    const entry = { name: `Nested${shared.size + 1}`, schema: {} as Json };
    shared.set(text, entry);
    entry.schema = refsTo($defs[name]!, named);
    return entry.name;
  };
  return refsTo(rest, named);
}

const json = (content: Json, mediaType = 'application/json') => ({ [mediaType]: { schema: content } });

const refusals: Readonly<Record<string, string>> = {
  400: 'The request cannot be read',
  401: 'Nobody is signed in',
  403: 'The token of the session is missing or out of date',
  404: 'What is asked for does not exist',
  409: 'Somebody else changed the same, the change must be confirmed, or it cannot be undone',
  413: 'The request is too large',
  422: 'Some of it cannot be saved; `errors` says where and why',
  429: 'Too many attempts',
};

/** Which refusals a route may answer with. */
function refusalsOf({ open, method, path, body, query }: Route): string[] {
  const isWrite = method !== 'GET';
  return [
    '400',
    ...(open ? [] : ['401']),
    ...(isWrite && !open ? ['403', '409'] : []),
    ...(path.includes(':') ? ['404'] : []),
    ...(isWrite ? ['413'] : []),
    ...(body || query ? ['422'] : []),
    ...(open && isWrite ? ['429'] : []),
  ];
}

function parametersOf(route: Route): Json[] {
  const pathNames = [...route.path.matchAll(/:(\w+)/g)].map((match) => match[1]!);
  const { properties = {}, required = [] } = (route.query ? schema(route.query, 'input') : {}) as {
    properties?: Record<string, object>;
    required?: string[];
  };
  const isGuarded = !route.open && route.method !== 'GET';
  return [
    ...pathNames.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
    ...Object.entries(properties).map(([name, type]) => ({
      name,
      in: 'query',
      required: required.includes(name),
      schema: type,
    })),
    ...(isGuarded ? [{ $ref: '#/components/parameters/token' }] : []),
  ];
}

function bodyOf({ files, body }: Route): Json | undefined {
  if (files)
    return {
      required: true,
      content: json(
        {
          type: 'object',
          required: ['files'],
          properties: { files: { type: 'array', items: { type: 'string', format: 'binary' } } },
        },
        'multipart/form-data',
      ),
    };
  return body && { required: true, content: json(schema(body, 'input')) };
}

function operation(operationId: string, tag: string, route: Route): Json {
  const requestBody = bodyOf(route);
  return {
    operationId,
    tags: [tag],
    summary: route.summary,
    security: route.open ? [] : [{ session: [] }, ...(route.scope ? [{ key: [] }] : [])],
    parameters: parametersOf(route),
    ...(requestBody ? { requestBody } : {}),
    responses: {
      200: {
        description: 'Done',
        headers: { 'Cache-Control': { $ref: `#/components/headers/${route.shared ? 'asksAgain' : 'notKept'}` } },
        content: json(schema(route.answer, 'output')),
      },
      ...Object.fromEntries(
        refusalsOf(route).map((status) => [status, { $ref: `#/components/responses/refused${status}` }]),
      ),
      default: { $ref: '#/components/responses/failed' },
    },
  };
}

const problem = (description: string) => ({
  description,
  content: json({ $ref: '#/components/schemas/Problem' }, 'application/problem+json'),
});

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** The OpenAPI description of the whole HTTP API, made from the routes. */
export function openApi(): object {
  const paths: Record<string, Json> = {};
  for (const [tag, group] of Object.entries(allRoutes))
    for (const [name, route] of Object.entries(group) as [string, Route][]) {
      const path = route.path.replace(/:(\w+)/g, '{$1}');
      (paths[path] ??= {})[route.method.toLowerCase()] = operation(`${tag}${capital(name)}`, tag, route);
    }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Dispona',
      version: '1',
      description: 'What is open needs no sign-in: the live shop at /shop-api. All else is for the desk.',
    },
    servers: [{ url: '/' }],
    tags: Object.keys(allRoutes).map((name) => ({ name })),
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'dispona_session' },
        key: { type: 'http', scheme: 'bearer', description: 'A key of the shop; it reads what it was made for' },
      },
      parameters: {
        token: {
          name: 'X-Dispona-Token',
          in: 'header',
          required: true,
          description: 'The token that /api/session answers; sent with every write',
          schema: { type: 'string' },
        },
      },
      headers: {
        asksAgain: {
          description: 'May be kept, and asked for again by its tag',
          schema: { type: 'string', const: 'no-cache' },
        },
        notKept: { description: 'Answers are not kept', schema: { type: 'string', const: 'no-store' } },
      },
      schemas: {
        Problem: schema(problemSchema, 'output'),
        ...Object.fromEntries(Array.from(shared.values(), ({ name, schema: told }) => [name, told])),
      },
      responses: {
        ...Object.fromEntries(Object.entries(refusals).map(([status, words]) => [`refused${status}`, problem(words)])),
        failed: problem('Something went wrong, or the disk is full (507)'),
      },
    },
    paths,
  };
}
