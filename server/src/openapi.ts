import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import { attendantJsonSchema } from '@locutor/core/line';

/** Serves the API's description at `/api/openapi.json` and a page to read it at `/api/docs`. */
export function describeApi(app: INestApplication): void {
  const head = new DocumentBuilder()
    .setTitle('Locutor')
    .setDescription('Errors are problem details (RFC 9457), as application/problem+json.')
    .setVersion('0.1.0')
    .build();
  const document = SwaggerModule.createDocument(app, head);
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, Attendant: attendantJsonSchema() as never },
  };
  SwaggerModule.setup('api/docs', app, document, { jsonDocumentUrl: 'api/openapi.json' });
}
