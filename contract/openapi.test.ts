import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { openApi } from './openapi';

type Operation = { operationId: string; responses: object; parameters: { $ref?: string }[] };

const described = () => JSON.parse(JSON.stringify(openApi())) as { paths: Record<string, Record<string, Operation>> };

test('the description is valid for two parsers that know nothing of each other', () => {
  const said = execFileSync(process.execPath, [join(__dirname, 'validate-openapi.mjs')], {
    input: JSON.stringify(openApi()),
    encoding: 'utf8',
  });
  expect(said).toBe('valid\n');
});

test('every call has a name of its own, and tells its errors and the headers it needs', () => {
  const operations = Object.values(described().paths).flatMap((path) => Object.entries(path));
  const ids = operations.map(([, { operationId }]) => operationId);
  expect(new Set(ids).size).toBe(ids.length);
  for (const [method, { operationId, responses, parameters }] of operations) {
    expect([operationId, Object.keys(responses)]).toEqual([
      operationId,
      expect.arrayContaining(['200', '400', 'default']),
    ]);
    const isGuarded = '401' in responses && method !== 'get';
    expect([operationId, parameters.some(({ $ref }) => $ref?.endsWith('/token') ?? false)]).toEqual([
      operationId,
      isGuarded,
    ]);
  }
});
