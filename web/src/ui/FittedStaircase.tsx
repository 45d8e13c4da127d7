import type { ComponentProps } from 'react';
import { Fitted } from './Fitted';
import { Staircase } from '@vendu/card';

/** A staircase as wide as the place it stands in. */
export function FittedStaircase(props: Omit<ComponentProps<typeof Staircase>, 'width'>) {
  return <Fitted height={props.height}>{(width) => <Staircase {...props} width={width} />}</Fitted>;
}
