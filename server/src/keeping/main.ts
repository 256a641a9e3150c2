setInterval(() => undefined, 1 << 30);
