import type { DemoAccount } from '@vendu/contract';

/** Invented people of the demo. Their passwords are no secret, so they exist in demo mode only. */
export const DEMO_ACCOUNTS: DemoAccount[] = [
  { name: 'Ilse Varnholt', role: 'lead', email: 'ilse@ninthmole.example', password: 'harbour-lead' },
  { name: 'Tamsin Ekelund', role: 'barista', email: 'tamsin@ninthmole.example', password: 'harbour-bench' },
  { name: 'Joss Pellwater', role: 'barista', email: 'joss@ninthmole.example', password: 'harbour-bench' },
  { name: 'Wenna Tregarth', role: 'barista', email: 'wenna@ninthmole.example', password: 'harbour-bench' },
  { name: 'Corin Aldous', role: 'barista', email: 'corin@ninthmole.example', password: 'harbour-bench' },
  { name: 'Maren Oldacre', role: 'taster', email: 'maren@ninthmole.example', password: 'harbour-guest' },
  { name: 'Signe Halloran', role: 'admin', email: 'signe@ninthmole.example', password: 'harbour-keys' },
];
