using System.Runtime.CompilerServices;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests;

/// <summary>A switch over an enumeration names every member: a new one must not quietly become the last of the old ones.</summary>
public sealed class ExhaustiveSwitchTests
{
    private static readonly Dictionary<string, string[]> Members = typeof(Setup)
        .Assembly.GetTypes()
        .Where(t => t.IsEnum)
        .ToDictionary(t => t.Name, t => t.GetEnumNames(), StringComparer.Ordinal);

    [Fact]
    public void A_switch_over_an_enumeration_names_every_member_or_throws()
    {
        var source = System.IO.Path.GetFullPath(System.IO.Path.Combine(Here(), "../../src"));
        var files = Directory
            .EnumerateFiles(source, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal))
            .ToArray();
        Assert.NotEmpty(files);
        var missing = files
            .SelectMany(f => Missing(File.ReadAllText(f)).Select(m => $"{System.IO.Path.GetFileName(f)} {m}"))
            .ToArray();
        Assert.True(missing.Length == 0, string.Join('\n', missing));
    }

    [Theory]
    [InlineData("x switch { StickAxis.Roll or StickAxis.Pitch or StickAxis.Yaw => 1, _ => 2 }", false)]
    [InlineData("x switch { StickAxis.Roll or StickAxis.Pitch or StickAxis.Yaw => 1, _ => throw e }", true)]
    [InlineData("x switch { StickAxis.Roll => 1, StickAxis.Pitch or StickAxis.Yaw or StickAxis.Throttle => 2 }", true)]
    [InlineData("x switch { _ when y => 0, StickAxis.Roll => 1, _ => 2 }", false)]
    [InlineData("x switch { StickAxis.Roll when y => 0, _ => 2 }", false)]
    public void What_is_missing_is_found(string code, bool complete) =>
        Assert.Equal(complete, !Missing($"class A {{ int B() => {code}; }}").Any());

    [Theory]
    [InlineData("case StickAxis.Roll: break; default: break;", false)]
    [InlineData("case StickAxis.Roll: break;", false)]
    [InlineData("case StickAxis.Roll: break; default: throw e;", true)]
    public void What_is_missing_is_found_in_statements_too(string code, bool complete) =>
        Assert.Equal(complete, !Missing($"class A {{ void B() {{ switch (x) {{ {code} }} }} }}").Any());

    private static IEnumerable<string> Missing(string code)
    {
        var nodes = CSharpSyntaxTree.ParseText(code).GetRoot().DescendantNodes().ToArray();
        foreach (var made in nodes.OfType<SwitchExpressionSyntax>())
        {
            var throws = made.Arms.Any(a => a.Pattern is DiscardPatternSyntax && a.Expression is ThrowExpressionSyntax);
            foreach (var missing in Missing(made, made.Arms.Select(a => (SyntaxNode)a.Pattern), throws))
                yield return missing;
        }

        foreach (var made in nodes.OfType<SwitchStatementSyntax>())
        {
            var throws = made.Sections.Any(s =>
                s.Labels.Any(l => l is DefaultSwitchLabelSyntax) && s.Statements is [ThrowStatementSyntax]
            );
            foreach (var missing in Missing(made, made.Sections.SelectMany(s => s.Labels), throws))
                yield return missing;
        }
    }

    // Named counts also where a condition stands beside it: the compiler looks after that.
    private static IEnumerable<string> Missing(SyntaxNode made, IEnumerable<SyntaxNode> cases, bool throws)
    {
        var named = cases
            .SelectMany(Constants)
            .Where(c => c.Expression is IdentifierNameSyntax { Identifier.Text: var type } && Members.ContainsKey(type))
            .GroupBy(c => ((IdentifierNameSyntax)c.Expression).Identifier.Text, c => c.Name.Identifier.Text);
        var line = made.GetLocation().GetLineSpan().StartLinePosition.Line + 1;
        return throws
            ? []
            : named
                .Select(n => (n.Key, Left: Members[n.Key].Except(n).ToArray()))
                .Where(n => n.Left.Length > 0)
                .Select(n => $"line {line}: {n.Key} without {string.Join(", ", n.Left)}");
    }

    private static IEnumerable<MemberAccessExpressionSyntax> Constants(SyntaxNode node) =>
        node switch
        {
            CaseSwitchLabelSyntax { Value: MemberAccessExpressionSyntax constant } => [constant],
            CasePatternSwitchLabelSyntax label => Constants(label.Pattern),
            ConstantPatternSyntax { Expression: MemberAccessExpressionSyntax constant } => [constant],
            BinaryPatternSyntax both => Constants(both.Left).Concat(Constants(both.Right)),
            ParenthesizedPatternSyntax inner => Constants(inner.Pattern),
            _ => [],
        };

    private static string Here([CallerFilePath] string path = "") => System.IO.Path.GetDirectoryName(path)!;
}
