/** Zones whose clocks are each odd in a way of their own: half hours, changes at midnight or by half an hour, none at all. */
export const zones = [
  'America/New_York',
  'America/St_Johns',
  'America/Sao_Paulo',
  'Europe/London',
  'Europe/Lisbon',
  'Africa/Casablanca',
  'Asia/Kathmandu',
  'Asia/Tehran',
  'Asia/Beirut',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
  'Pacific/Apia',
  'UTC',
];
