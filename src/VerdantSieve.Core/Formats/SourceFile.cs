namespace VerdantSieve.Core.Formats;

/// <summary>A file: its path, for messages, and its text.</summary>
public sealed record SourceFile(string Path, string Text);
