import type { BoxId } from '@locutor/core/directory';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The PIN of a box, which is never kept as it is. */
@Entity('box_pin')
export class BoxPinEntity {
  @PrimaryColumn('text')
  boxId: BoxId;

  @Column('text')
  salt: string;

  @Column('text')
  hash: string;
}
