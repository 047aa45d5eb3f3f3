let accountId: string | undefined;

/** For whom this window writes: the server turns down what would go out in the name of whoever signed in in another one. */
export function writesFor(account: string): void {
  accountId = account;
}

/** The account of whoever is signed in here, once that is known. */
export function writer(): string | undefined {
  return accountId;
}
