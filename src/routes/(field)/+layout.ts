// The field app lives on the phone: no page of it is drawn by the server.
export const ssr = false;
