import { DEMO_PASSWORD, demoSignIns } from '../src/lib/server/demo/people';

console.log('Sign in as:');
for (const { role, name, email } of demoSignIns) console.log(`  ${role.padEnd(12)} ${email.padEnd(22)} ${name}`);
console.log(`  the password is the same for all: ${DEMO_PASSWORD}`);
