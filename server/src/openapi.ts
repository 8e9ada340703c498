import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { attendantJsonSchema } from '@locutor/core/line';

/** Serves the API's description at `/api/openapi.json` and a page to read it at `/api/docs`. */
export function describeApi(app: INestApplication): void {
  const head = new DocumentBuilder()
    .setTitle('Locutor')
    .setDescription('Errors are problem details (RFC 9457), as application/problem+json.')
    .setVersion('0.1.0')
    .build();
  // Made when somebody first asks for it: it takes as long as all else that a server does to start.
  const describe = (): OpenAPIObject => {
    const document = SwaggerModule.createDocument(app, head);
    const schemas = { ...document.components?.schemas, Attendant: attendantJsonSchema() as never };
    return { ...document, components: { ...document.components, schemas } };
  };
  SwaggerModule.setup('api/docs', app, describe, { jsonDocumentUrl: 'api/openapi.json' });
}
