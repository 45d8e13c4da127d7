import { Injectable } from '@nestjs/common';

/** Whether there is room to store anything, as far as the last answers tell. */
@Injectable()
export class Room {
  #isFull = false;

  get isFull(): boolean {
    return this.#isFull;
  }

  /** What was refused for want of room stands until something is stored again. */
  answered(method: string, status: number): void {
    if (status === 507) this.#isFull = true;
    else if (!READING.includes(method) && status < 300) this.#isFull = false;
  }
}

const READING = ['GET', 'HEAD', 'OPTIONS'];
