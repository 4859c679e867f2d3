using System.Text.RegularExpressions;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Xunit;

namespace VerdantSieve.Structure.Tests;

/// <summary>How the code is laid out: which folder may know which, and what no file may hold.</summary>
public partial class StructureTests
{
    // Each may know those before it. Measuring and Seasons know neither each other nor anything else.
    private static readonly string[] Order =
    [
        "Measuring",
        "Seasons",
        "Botany",
        "Observing",
        "Sieving",
        "Looking",
        "Trees",
        "Planning",
        "Keys",
        "Drawing",
        "Leaves",
        "Formats",
        "Simulating",
        "Practising",
        "Curating",
    ];

    private const int Columns = 140,
        Branches = 15,
        LinesOfASecondType = 30;

    [Fact]
    public void Cores_folders_lean_one_way()
    {
        var wrong =
            from file in Sources.Core
            from known in FoldersKnownTo(file.Source)
            where known != file.Folder && !MayKnow(file.Folder, known)
            select $"{file.Source.Path} knows {known}";
        None(wrong.Distinct());
        Assert.Equal(Order.Order(), Sources.Core.Select(file => file.Folder).Distinct().Order());
    }

    private static bool MayKnow(string folder, string known) =>
        folder is not ("Measuring" or "Seasons") && Array.IndexOf(Order, known) < Array.IndexOf(Order, folder);

    // By its usings, and by names that begin with a folder's.
    private static IEnumerable<string> FoldersKnownTo(Source source) =>
        source
            .Unit.Usings.Select(line => line.Name?.ToString() ?? "")
            .Where(name => name.StartsWith("VerdantSieve.Core.", StringComparison.Ordinal))
            .Select(name => name.Split('.')[2])
            .Concat(
                source
                    .Unit.DescendantNodes()
                    .Select(node =>
                        node switch
                        {
                            QualifiedNameSyntax { Left: IdentifierNameSyntax left } => left.Identifier.Text,
                            MemberAccessExpressionSyntax { Expression: IdentifierNameSyntax left } => left.Identifier.Text,
                            _ => "",
                        }
                    )
                    .Where(name => Order.Contains(name) && name is not "Drawing")
            );

    [Fact]
    public void No_line_is_longer_than_the_screen()
    {
        var wrong =
            from source in Sources.All
            from line in source.Text.Split('\n').Select((text, at) => (text, at))
            where line.text.Length > Columns
            select $"{source.Path}:{line.at + 1}";
        None(wrong);
    }

    [Fact]
    public void No_choice_hides_in_another() =>
        None(
            from source in Sources.All
            from choice in source.Unit.DescendantNodes().OfType<ConditionalExpressionSyntax>()
            where choice.Ancestors().TakeWhile(Within).OfType<ConditionalExpressionSyntax>().Any()
            select source.At(choice)
        );

    // A function, a string or a list within a choice is a place of its own.
    private static bool Within(SyntaxNode node) =>
        node
            is ExpressionSyntax
                and not (AnonymousFunctionExpressionSyntax or InterpolatedStringExpressionSyntax or InvocationExpressionSyntax);

    [Fact]
    public void No_three_things_are_set_in_one_breath() =>
        None(
            from source in Sources.All
            from set in source.Unit.DescendantNodes().OfType<AssignmentExpressionSyntax>()
            where set.Left is TupleExpressionSyntax { Arguments.Count: >= 3 } && set.Right is TupleExpressionSyntax
            select source.At(set)
        );

    [Fact]
    public void No_method_branches_beyond_what_can_be_read() =>
        None(
            from source in Sources.Shipped
            from method in source.Unit.DescendantNodes().Where(node => node is BaseMethodDeclarationSyntax or AccessorDeclarationSyntax)
            let branches = method.DescendantNodes().Count(IsBranch)
            where branches > Branches
            select $"{source.At((CSharpSyntaxNode)method)} {branches}"
        );

    private static bool IsBranch(SyntaxNode node) =>
        node
            is IfStatementSyntax
                or ConditionalExpressionSyntax
                or CaseSwitchLabelSyntax
                or CasePatternSwitchLabelSyntax
                or ForStatementSyntax
                or CommonForEachStatementSyntax
                or WhileStatementSyntax
                or DoStatementSyntax
                or CatchClauseSyntax
        || node.IsKind(SyntaxKind.LogicalAndExpression)
        || node.IsKind(SyntaxKind.LogicalOrExpression);

    // A new value or kind would fall through it unnoticed. Of text and numbers there is always more.
    [Fact]
    public void No_switch_over_values_that_are_all_known_has_an_arm_for_the_rest() =>
        None(
            from source in Sources.Shipped
            from choice in source.Unit.DescendantNodes().OfType<SwitchExpressionSyntax>()
            where choice.Arms.Any(arm => arm.Pattern is DiscardPatternSyntax) && choice.Arms.Any(arm => IsNamedValue(arm.Pattern))
            select source.At(choice)
        );

    [Fact]
    public void No_switch_over_kinds_has_a_default() =>
        None(
            from source in Sources.Shipped
            from choice in source.Unit.DescendantNodes().OfType<SwitchStatementSyntax>()
            from label in choice.Sections.SelectMany(section => section.Labels).OfType<DefaultSwitchLabelSyntax>()
            select source.At(label)
        );

    private static bool IsNamedValue(PatternSyntax pattern) =>
        pattern switch
        {
            ConstantPatternSyntax { Expression: MemberAccessExpressionSyntax { Expression: IdentifierNameSyntax of } } => of.Identifier.Text
                is not "CharacterIds",
            BinaryPatternSyntax { OperatorToken.RawKind: (int)SyntaxKind.OrKeyword } either => IsNamedValue(either.Left),
            _ => false,
        };

    [Fact]
    public void A_second_type_in_a_file_is_a_small_one() =>
        None(
            from source in Sources.Shipped
            let types = source
                .Unit.DescendantNodes()
                .OfType<BaseTypeDeclarationSyntax>()
                .Where(type => type.Parent is not TypeDeclarationSyntax)
            from type in types.OrderByDescending(Lines).Skip(1)
            where Lines(type) > LinesOfASecondType
            select $"{source.At(type)} {type.Identifier.Text}"
        );

    private static void None(IEnumerable<string> wrong)
    {
        string[] all = [.. wrong];
        Assert.True(all.Length == 0, string.Join('\n', all));
    }

    private static int Lines(BaseTypeDeclarationSyntax type) => type.ToString().Count(letter => letter == '\n');

    [Fact]
    public void Pages_write_no_addresses_of_pages() =>
        Assert.Equal(
            [
                "src/VerdantSieve.Web/Pages/Help.cshtml: href=\"/openapi/v1.json\"",
                "src/VerdantSieve.Web/Pages/Shared/_Layout.cshtml: href=\"/icon.svg\"",
            ],
            from page in Sources.Pages
            from written in Written().Matches(page.Text)
            select $"{page.Path}: {written.Value}"
        );

    [GeneratedRegex("(href|action|hx-get|hx-post)=\"/[^\"]*\"")]
    private static partial Regex Written();

    [Fact]
    public void Views_know_no_server_and_no_database()
    {
        var project = File.ReadAllText(Path.Combine(Sources.Root, "src/VerdantSieve.Views/VerdantSieve.Views.csproj"));
        Assert.DoesNotContain("VerdantSieve.Store", project);
        Assert.DoesNotContain("Microsoft.AspNetCore.App", project);
        None(
            from source in Sources.Shipped.Concat(Sources.Pages)
            where source.Path.StartsWith("src/VerdantSieve.Views/", StringComparison.Ordinal)
            from Match known in ServerNames().Matches(source.Text)
            select $"{source.Path}: {known.Value}"
        );
    }

    [GeneratedRegex(@"Microsoft\.AspNetCore\.(?!Components)\w+|VerdantSieve\.(Store|Web)\b|HttpContext|IHtmlContent")]
    private static partial Regex ServerNames();

    [Fact]
    public void Only_the_packed_sieve_reads_memory_by_address()
    {
        var unsafeOnes = Directory
            .EnumerateFiles(Path.Combine(Sources.Root, "src"), "*.csproj", SearchOption.AllDirectories)
            .Where(project => File.ReadAllText(project).Contains("AllowUnsafeBlocks", StringComparison.Ordinal));
        Assert.Equal(["VerdantSieve.Packed.csproj"], unsafeOnes.Select(Path.GetFileName));
    }

    [Fact]
    public void What_a_class_looks_like_everywhere_is_said_in_one_style_sheet()
    {
        var said =
            from sheet in Sources.Styles
            from Match rule in Regex.Matches(sheet.Text, @"^(\.[\w-]+) \{", RegexOptions.Multiline)
            group sheet.Path by rule.Groups[1].Value into paths
            where paths.Distinct().Count() > 1
            select $"{paths.Key}: {string.Join(", ", paths.Distinct())}";
        Assert.Empty(said);
    }
}
