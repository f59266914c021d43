import { z } from 'zod';
import { routes } from './index';
import { problemSchema } from './problem';
import type { Route } from './route';

const schema = (type: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(type, { io, unrepresentable: 'any' });
  return rest;
};

function operation(route: Route): object {
  const pathNames = [...route.path.matchAll(/:(\w+)/g)].map((match) => match[1]!);
  const query = route.query ? (schema(route.query, 'input') as { properties?: Record<string, object> }).properties : {};
  const content = route.files
    ? {
        'multipart/form-data': {
          schema: {
            type: 'object',
            properties: { files: { type: 'array', items: { type: 'string', format: 'binary' } } },
          },
        },
      }
    : route.body && { 'application/json': { schema: schema(route.body, 'input') } };
  return {
    summary: route.summary,
    security: route.open ? [] : [{ session: [] }],
    parameters: [
      ...pathNames.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
      ...Object.entries(query ?? {}).map(([name, type]) => ({ name, in: 'query', schema: type })),
    ],
    ...(content ? { requestBody: { content } } : {}),
    responses: {
      200: { description: 'Done', content: { 'application/json': { schema: schema(route.answer, 'output') } } },
      default: {
        description: 'A problem',
        content: { 'application/problem+json': { schema: schema(problemSchema, 'output') } },
      },
    },
  };
}

/** The OpenAPI description of the whole HTTP API, made from the routes. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const group of Object.values(routes))
    for (const route of Object.values(group) as Route[]) {
      const path = route.path.replace(/:(\w+)/g, '{$1}');
      (paths[path] ??= {})[route.method.toLowerCase()] = operation(route);
    }
  return {
    openapi: '3.1.0',
    info: { title: 'Dispona', version: '1' },
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'dispona_session' } } },
    paths,
  };
}
