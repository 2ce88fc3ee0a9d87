using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Zephyros.Mutants;

/// <summary>Finds the places of a file at which a slip can be planted that still compiles, most likely.</summary>
internal sealed class SlipFinder(string room, string file) : CSharpSyntaxWalker
{
    private static readonly Dictionary<SyntaxKind, string[]> Operators = new()
    {
        [SyntaxKind.LessThanExpression] = ["<=", ">"],
        [SyntaxKind.LessThanOrEqualExpression] = ["<", ">="],
        [SyntaxKind.GreaterThanExpression] = [">=", "<"],
        [SyntaxKind.GreaterThanOrEqualExpression] = [">", "<="],
        [SyntaxKind.EqualsExpression] = ["!="],
        [SyntaxKind.NotEqualsExpression] = ["=="],
        [SyntaxKind.LogicalAndExpression] = ["||"],
        [SyntaxKind.LogicalOrExpression] = ["&&"],
        [SyntaxKind.AddExpression] = ["-"],
        [SyntaxKind.SubtractExpression] = ["+"],
        [SyntaxKind.MultiplyExpression] = ["/"],
        [SyntaxKind.DivideExpression] = ["*"],
        [SyntaxKind.BitwiseAndExpression] = ["|"],
        [SyntaxKind.BitwiseOrExpression] = ["&"],
    };

    private static readonly Dictionary<string, string> Methods = new(StringComparer.Ordinal)
    {
        ["Any"] = "All",
        ["All"] = "Any",
        ["Min"] = "Max",
        ["Max"] = "Min",
        ["First"] = "Last",
        ["FirstOrDefault"] = "LastOrDefault",
        ["OrderBy"] = "OrderByDescending",
        ["OrderByDescending"] = "OrderBy",
        ["Skip"] = "Take",
        ["Take"] = "Skip",
        ["Floor"] = "Ceiling",
        ["Ceiling"] = "Floor",
    };

    private readonly List<(SyntaxNode Node, string Becomes, SlipKind Kind)> found = [];

    /// <summary>Every slip of a file, numbered from 1.</summary>
    public IEnumerable<Slip> Find(string code)
    {
        var tree = CSharpSyntaxTree.ParseText(code, new CSharpParseOptions(LanguageVersion.Preview));
        Visit(tree.GetRoot());
        return found.Select(
            (f, i) =>
                new Slip(
                    i + 1,
                    room,
                    file,
                    tree.GetLineSpan(f.Node.Span).StartLinePosition.Line + 1,
                    f.Node.Span,
                    f.Node.ToString(),
                    f.Becomes,
                    f.Kind
                )
        );
    }

    // What must be constant, and what is only words, is left alone.
    public override void VisitAttributeList(AttributeListSyntax node) { }

    public override void VisitParameterList(ParameterListSyntax node) { }

    public override void VisitCaseSwitchLabel(CaseSwitchLabelSyntax node) { }

    public override void VisitInterpolatedStringExpression(InterpolatedStringExpressionSyntax node) { }

    public override void VisitEnumDeclaration(EnumDeclarationSyntax node) { }

    public override void VisitFieldDeclaration(FieldDeclarationSyntax node)
    {
        if (!node.Modifiers.Any(SyntaxKind.ConstKeyword))
            base.VisitFieldDeclaration(node);
    }

    public override void VisitLocalDeclarationStatement(LocalDeclarationStatementSyntax node)
    {
        if (!node.IsConst)
            base.VisitLocalDeclarationStatement(node);
    }

    public override void VisitInvocationExpression(InvocationExpressionSyntax node)
    {
        if (
            node.Expression is MemberAccessExpressionSyntax { Name: IdentifierNameSyntax name } access
            && Methods.TryGetValue(name.Identifier.Text, out var other)
            && !Declares(node)
        )
            Add(node, access.WithName(SyntaxFactory.IdentifierName(other)) + node.ArgumentList.ToString());
        base.VisitInvocationExpression(node);
    }

    public override void VisitBinaryExpression(BinaryExpressionSyntax node)
    {
        if (Operators.TryGetValue(node.Kind(), out var others) && !Declares(node) && !IsText(node))
            foreach (var other in others)
                Add(node, $"{node.Left} {other} {node.Right}");
        base.VisitBinaryExpression(node);
    }

    public override void VisitPrefixUnaryExpression(PrefixUnaryExpressionSyntax node)
    {
        if (node.Kind() is SyntaxKind.LogicalNotExpression or SyntaxKind.UnaryMinusExpression && !Declares(node))
            Add(node, node.Operand.ToString());
        base.VisitPrefixUnaryExpression(node);
    }

    public override void VisitConditionalExpression(ConditionalExpressionSyntax node)
    {
        if (!Declares(node.Condition))
            Add(node.Condition, $"!({node.Condition})");
        base.VisitConditionalExpression(node);
    }

    public override void VisitIfStatement(IfStatementSyntax node)
    {
        if (!Declares(node.Condition))
            Add(node.Condition, $"!({node.Condition})");
        base.VisitIfStatement(node);
    }

    public override void VisitLiteralExpression(LiteralExpressionSyntax node)
    {
        if (node.IsKind(SyntaxKind.TrueLiteralExpression))
            Add(node, "false");
        else if (node.IsKind(SyntaxKind.FalseLiteralExpression))
            Add(node, "true");
        else if (
            node.IsKind(SyntaxKind.NumericLiteralExpression)
            && node.Parent is not (PatternSyntax or CaseSwitchLabelSyntax)
        )
            Add(node, $"({node} + 1)");
    }

    // "x is A or B" with one of them left out.
    public override void VisitIsPatternExpression(IsPatternExpressionSyntax node)
    {
        if (!Declares(node))
        {
            Add(node, $"!({node})");
            foreach (var either in node.DescendantNodes().OfType<BinaryPatternSyntax>())
                if (either.IsKind(SyntaxKind.OrPattern))
                {
                    Add(node, node.ReplaceNode(either, either.Left).ToString());
                    Add(node, node.ReplaceNode(either, either.Right).ToString());
                }
        }

        Visit(node.Expression);
    }

    // One of several new values left out.
    public override void VisitWithExpression(WithExpressionSyntax node)
    {
        if (!Declares(node))
            foreach (var one in node.Initializer.Expressions)
                Add(
                    node,
                    node.WithInitializer(node.Initializer.WithExpressions(node.Initializer.Expressions.Remove(one)))
                        .ToString()
                );
        base.VisitWithExpression(node);
    }

    public override void VisitExpressionStatement(ExpressionStatementSyntax node)
    {
        if (node.Parent is BlockSyntax && !Declares(node) && !SetsUp(node))
            found.Add((node, ";", SlipKind.Statement));
        base.VisitExpressionStatement(node);
    }

    private void Add(SyntaxNode node, string becomes)
    {
        if (!InPattern(node))
            found.Add((node, becomes, SlipKind.Expression));
    }

    // Left out, a first value would be missing to the compiler.
    private static bool SetsUp(ExpressionStatementSyntax node) =>
        node.Expression is AssignmentExpressionSyntax
        && node.FirstAncestorOrSelf<ConstructorDeclarationSyntax>() is not null;

    private static bool InPattern(SyntaxNode node) =>
        node.Ancestors().Any(a => a is PatternSyntax or CaseSwitchLabelSyntax);

    private static bool Declares(SyntaxNode node) =>
        node.DescendantNodesAndSelf()
            .Any(n =>
                n
                    is SingleVariableDesignationSyntax
                        or DeclarationExpressionSyntax
                        or AwaitExpressionSyntax
                        or ThrowExpressionSyntax
            );

    private static bool IsText(BinaryExpressionSyntax node) =>
        node.IsKind(SyntaxKind.AddExpression)
        && node.DescendantNodes()
            .Any(n => n is InterpolatedStringExpressionSyntax || n.IsKind(SyntaxKind.StringLiteralExpression));
}
