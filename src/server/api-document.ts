import 'server-only';
import { z } from 'zod';
import { createDocument, type ZodOpenApiOperationObject } from 'zod-openapi';
import { API_SCOPES } from '@/core/account/api-scope';
import { apiProblem } from '@/contract/api';
import { API_PROBLEM, API_SUMMARY, API_TEXT } from '@/messages/api';
import type { Operation } from './api-operation';
import { OPERATIONS } from './api-operations';

const JSON_TYPE = 'application/json';
const PROBLEM_TYPE = 'application/problem+json';
const SECURITY = 'token';

const problem = (status: 400 | 401 | 403 | 404 | 422) => ({
  description: API_PROBLEM[status],
  content: { [PROBLEM_TYPE]: { schema: apiProblem } },
});

/** The header by which a write is known. */
const keyHeader = z.object({ 'Idempotency-Key': z.uuid().optional() });

function toOperation({ id, method, scope, params, query, body, reply }: Operation): ZodOpenApiOperationObject {
  const known = Object.keys(params.shape).length > 0;
  return {
    operationId: id,
    summary: API_SUMMARY[id],
    security: [{ [SECURITY]: [scope] }],
    requestParams: { path: params, query, ...(method === 'post' ? { header: keyHeader } : {}) },
    ...(body ? { requestBody: { required: true, content: { [JSON_TYPE]: { schema: body } } } } : {}),
    responses: {
      200: { description: API_SUMMARY[id], content: { [JSON_TYPE]: { schema: reply } } },
      400: problem(400),
      401: problem(401),
      403: problem(403),
      ...(known ? { 404: problem(404) } : {}),
      422: problem(422),
    },
  };
}

/** The OpenAPI 3.1 document of everything that programs can ask, from the schemas that calls are checked by. */
export const apiDocument = () =>
  createDocument({
    openapi: '3.1.0',
    info: { title: API_TEXT.title, version: '1', description: API_TEXT.description },
    servers: [{ url: '/api/v1' }],
    components: {
      securitySchemes: {
        [SECURITY]: { type: 'http', scheme: 'bearer', description: `${API_TEXT.token}: ${API_SCOPES.join(', ')}` },
      },
    },
    paths: Object.fromEntries(
      [...new Set(OPERATIONS.map((o) => o.path))].map((path) => [
        path,
        Object.fromEntries(OPERATIONS.filter((o) => o.path === path).map((o) => [o.method, toOperation(o)])),
      ]),
    ),
  });
