using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    public partial class Kin : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "aggregates", table: "floras", type: "jsonb", nullable: false, defaultValueSql: "'{}'");
            migrationBuilder.AddColumn<string>(name: "aggregate", table: "taxa", type: "text", nullable: true);
            migrationBuilder.AddColumn<string[]>(name: "hybrid_of", table: "taxa", type: "text[]", nullable: false, defaultValueSql: "'{}'");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "aggregates", table: "floras");
            migrationBuilder.DropColumn(name: "aggregate", table: "taxa");
            migrationBuilder.DropColumn(name: "hybrid_of", table: "taxa");
        }
    }
}
