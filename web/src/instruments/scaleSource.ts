import type { ScaleReading } from '@vendu/core';

export interface ScaleListener {
  onReading: (reading: ScaleReading) => void;
  /** The scale cannot be had, or no longer; the words say why and what to do. */
  onTrouble: (words: string) => void;
}

/** A scale, whatever it is and however it is reached. Manual entry needs none. */
export interface ScaleSource {
  name: string;
  /** @returns ends the listening */
  start: (listener: ScaleListener) => () => void;
  /** Somebody begins to pour to a total: a stand-in has to be told, a scale is not. */
  pour?: (asked: { toTotalG: number; flowGps: number }) => void;
}
