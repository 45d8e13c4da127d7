import { brewerFaults } from '@vendu/core';
import type { BrewerDto } from '@vendu/contract';
import { invalidField } from '../problem/problem-error.js';
import { BrewerModel } from './brewer.model.js';

/** What a brewer keeps whichever bottom is in it. */
type BrewerBody = Pick<
  BrewerDto,
  'shape' | 'topDiameterMm' | 'heightMm' | 'ribs' | 'wallMaterial' | 'wallMm'
>;

export function bodyPart({
  shape,
  topDiameterMm,
  heightMm,
  ribs,
  wallMaterial,
  wallMm,
}: BrewerBody): BrewerBody {
  return { shape, topDiameterMm, heightMm, ribs, wallMaterial, wallMm };
}

/** A body that one of its bottoms would no longer fit; in its turn, since a bottom takes its body first too. */
export async function refuseMisfit(id: number, body: BrewerBody): Promise<void> {
  await BrewerModel.findByPk(id, { attributes: ['id'], lock: true });
  for (const bottom of await BrewerModel.findAll({ where: { bodyOfId: id }, lock: true })) {
    const [fault] = brewerFaults({ ...bottom.get(), ...body });
    if (!fault) continue;
    throw invalidField({ ...fault, message: `${bottom.name} would not fit: ${fault.message}` });
  }
}

/** What another bottom takes over from its brewer; `null` of a brewer of its own. */
export async function bodyOf({ bodyOfId }: BrewerDto, id: number | null): Promise<BrewerBody | null> {
  if (bodyOfId === null) return null;
  const body = await BrewerModel.findByPk(bodyOfId, { lock: true });
  if (!body) throw invalidField({ field: 'bodyOfId', message: 'There is no such brewer.' });
  if (body.bodyOfId !== null || body.id === id) {
    throw invalidField({
      field: 'bodyOfId',
      message: 'A bottom belongs to a brewer, not to another bottom.',
    });
  }
  if (id !== null && (await BrewerModel.count({ where: { bodyOfId: id } })) > 0) {
    throw invalidField({ field: 'bodyOfId', message: 'This brewer has bottoms of its own.' });
  }
  return bodyPart(body);
}
