package dev.tavik.cli;

/** An answer that could not be written. The message says which file, and what the system said. */
final class UnwrittenException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  UnwrittenException(String message) {
    super(message);
  }

  UnwrittenException(String message, Throwable cause) {
    super(message, cause);
  }
}
