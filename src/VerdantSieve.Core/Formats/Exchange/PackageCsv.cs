using System.Globalization;
using System.IO.Compression;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A row of a table as it was read.</summary>
internal sealed record TableRow(string File, int Line, IReadOnlyDictionary<string, string> Cells)
{
    public string this[string column] => Cells.GetValueOrDefault(column, "");

    public UnreadableException Unreadable(string message) => new(File, Line, message);
}

/// <summary>Writes and reads the tables of a data package.</summary>
internal static class PackageCsv
{
    // A cell longer than this is no cell of a flora.
    private const int LongestCell = 20_000;

    private static readonly CsvConfiguration Writing = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        ShouldQuote = cell => cell.Field is { } text && (text.AsSpan().IndexOfAny(",;\"\r\n") >= 0 || text != text.Trim()),
    };

    private static readonly CsvConfiguration Reading = new(CultureInfo.InvariantCulture)
    {
        MaxFieldSize = LongestCell,
        BadDataFound = null,
        MissingFieldFound = null,
        DetectDelimiter = true,
        DetectDelimiterValues = [",", ";", "\t"],
    };

    public static void Write(ZipArchive zip, PackageTable table)
    {
        using var text = new StreamWriter(
            zip.CreateEntry($"{table.Name}.csv").Open(),
            new UTF8Encoding(encoderShouldEmitUTF8Identifier: false)
        );
        using var csv = new CsvWriter(text, Writing);
        foreach (var (column, _) in table.Columns)
            csv.WriteField(column);
        csv.NextRecord();
        foreach (var row in table.Rows)
        {
            foreach (var (column, _) in table.Columns)
                csv.WriteField(Guarded(row.GetValueOrDefault(column, "")));
            csv.NextRecord();
        }
    }

    private const string Formula = "=+-@";

    // A spreadsheet takes a cell that begins so for a formula; an apostrophe before it says that it is text, and falls away when read.
    private static string Guarded(string cell) => cell.Length > 0 && (Formula.Contains(cell[0]) || IsGuarded(cell)) ? "'" + cell : cell;

    private static string Unguarded(string cell) => IsGuarded(cell) ? cell[1..] : cell;

    private static bool IsGuarded(string cell) => cell.Length > 1 && cell[0] == '\'' && (Formula.Contains(cell[1]) || cell[1] == '\'');

    /// <summary>The rows of a table that say something.</summary>
    /// <exception cref="UnreadableException">The table is not there, or can’t be read.</exception>
    public static List<TableRow> Read(ZipArchive zip, string table, CancellationToken cancel)
    {
        var file = $"{table}.csv";
        // Some programs put all in a folder of the package’s name.
        var entry =
            zip.Entries.FirstOrDefault(entry => entry.Name == file) ?? throw new UnreadableException(file, 1, $"the package has no {file}");
        using var text = new StreamReader(
            new CheckedStream(entry.Open(), entry.Crc32, FileBounds.MostUnpacked),
            new UTF8Encoding(false, throwOnInvalidBytes: true)
        );
        using var csv = new CsvReader(text, Reading);
        var line = 1;
        try
        {
            if (!csv.Read() || !csv.ReadHeader())
                throw new UnreadableException(file, 1, "the table is empty; its first line names the columns");
            string[] columns = [.. csv.HeaderRecord!.Select(column => column.Trim())];
            if (columns.GroupBy(column => column).FirstOrDefault(group => group.Key.Length > 0 && group.Count() > 1) is { } twice)
                throw new UnreadableException(file, 1, $"the column “{twice.Key}” stands twice");
            if (columns.Length > FileBounds.MostCharacters + TaxonFields.All.Count + 1)
                throw new UnreadableException(FileBounds.TooMany(file, columns.Length, "columns", FileBounds.MostCharacters));
            var (rows, cells) = (new List<TableRow>(), 0);
            while (true)
            {
                cancel.ThrowIfCancellationRequested();
                line = csv.Parser.RawRow + 1;
                if (!csv.Read())
                    return rows;
                var row = RowOf(csv, columns, file, line);
                cells += row.Cells.Count;
                if (cells > FileBounds.MostCells)
                    throw new UnreadableException(FileBounds.TooMany(file, cells, "cells", FileBounds.MostCells, line));
                if (row.Cells.Count > 0)
                    rows.Add(row);
            }
        }
        catch (DecoderFallbackException)
        {
            throw new UnreadableException(file, line, "the file is not UTF-8; save it as “CSV UTF-8”");
        }
        catch (MaxFieldSizeException)
        {
            throw new UnreadableException(
                file,
                line,
                $"a cell is longer than {LongestCell} letters; perhaps a quotation mark is never closed"
            );
        }
        catch (CsvHelperException)
        {
            throw new UnreadableException(file, line, "the line can’t be read as CSV");
        }
    }

    private static TableRow RowOf(CsvReader csv, string[] columns, string file, int line)
    {
        var cells = new Dictionary<string, string>();
        for (var i = 0; i < columns.Length; i++)
            if (
                columns[i].Length > 0
                && csv.TryGetField<string>(i, out var cell)
                && Unguarded((cell ?? "").Trim()) is { Length: > 0 } value
            )
                cells[columns[i]] = value;
        var row = new TableRow(file, line, cells);
        for (var beyond = columns.Length; beyond < csv.Parser.Count; beyond++)
            if (csv[beyond]?.Trim().Length > 0)
                throw row.Unreadable($"the line has {csv.Parser.Count} cells, and the table {columns.Length} columns");
        return row;
    }
}
